# frozen_string_literal: true

module UpTack
  module Core
    module Conditions
      # Values to try for the leaves of some conditions: all that a field can have where they are few;
      # else those on both sides of each place at which something that is compared changes, in the
      # steps of the field: whole numbers have nothing between 2 and 3.
      class Domains
        # Values of a field that are tried one by one.
        FEW = 61
        # Values of one leaf at most where they are not all tried.
        MOST = 48
        # Values of other leaves for which the place of a change is looked for.
        BESIDE = 14
        # Functions that come back to the same values, so that places between are looked at too.
        RETURNING = %w[month day weekday weeknum hour minute mod eomonth workdays].freeze

        # @param table [Design::Table]
        # @param leaves [Conditions::Leaves]
        # @param pairs [Array<Array(Nodes::Node, Object)>] what is compared: two nodes, or a node and a value
        # @param trees [Array<Nodes::Node>] the conditions as a whole
        def initialize(table, leaves, pairs, trees = [])
          @table = table
          @leaves = leaves
          @pairs = pairs.uniq
          @trees = trees
        end

        # @return [Hash{String=>Array<Object>}] values by the text of each leaf
        def values
          @values ||= begin
            found = @leaves.all.to_h { |leaf| [leaf.text, few(leaf)] }
            open = @leaves.all.select { |leaf| found[leaf.text].nil? }
            open.each { |leaf| found[leaf.text] = first(leaf) }
            # Twice, so that a place that depends on another leaf's places is found.
            2.times { open.each { |leaf| found[leaf.text] = further(leaf, found) } }
            open.each { |leaf| found[leaf.text] = spread(leaf, found[leaf.text]) }
            @leaves.all.each { |leaf| found[leaf.text] += [nil] if leaf.blank }
            found
          end
        end

        # @return [Array<String>] leaves of which not all values are tried
        def open = @leaves.all.reject { |leaf| few(leaf) }.map(&:text)

        private

        def steps(leaf) = Conditions::Steps.new(leaf.kind, leaf.field)

        # @return [Array<Object>, nil] all values, where they are few
        def few(leaf)
          return [true, false] if leaf.kind == :yes_no
          return choices(leaf) if %i[text any].include?(leaf.kind) && leaf.field&.choices&.any?

          low, high = bounds(leaf)
          return if low.nil? || high.nil?

          steps(leaf).all(low, high, FEW)
        end

        def bounds(leaf) = (@bounds ||= {})[leaf.text] ||= Conditions::Bounds.find(@table, leaf.field)

        def choices(leaf)
          field = leaf.field
          named = constants(leaf).grep(String)
          field.open_choices | named.filter_map { |text| field.choices.find { |choice| same?(choice, text) } }
        end

        # What is compared with the leaf itself, and everything of its type that stands in the conditions.
        def constants(leaf)
          found = concerning(leaf).filter_map { |_, other| fixed(other) }
          @trees.each do |tree|
            tree.walk { |node| found << node.value if node.is_a?(Expression::Nodes::Literal) && !node.value.nil? }
          end
          found.uniq
        end

        def concerning(leaf) = @pairs.select { |one, other| leaves_of(one, other).include?(leaf.text) }

        def leaves_of(*sides) = sides.select { |side| node?(side) }.flat_map { |side| @leaves.find(side) }.uniq
        def node?(side) = side.is_a?(Expression::Nodes::Node)

        def fixed(side)
          return side unless node?(side)

          @leaves.find(side).empty? ? @leaves.value(side, {}) : nil
        end

        def first(leaf)
          case leaf.kind
          when :text, :any
            Conditions::Texts.new(leaf, concerning(leaf).filter_map { |_, other| fixed(other) }, @trees, @leaves).values
          when :link
            (1..[@leaves.all.count { |other| other.kind == :link }, 2].max).to_a
          else
            inside(
              leaf,
              [*constants(leaf).select { |value| steps(leaf).fit?(value) }, steps(leaf).usual, *bounds(leaf).compact]
            )
          end
        end

        def inside(leaf, values)
          low, high = bounds(leaf)
          found = values.compact.uniq.map { |value| steps(leaf).rounded(value) }.uniq
          found.select { |value| (low.nil? || value >= low) && (high.nil? || value <= high) }.sort
        end

        # Adds the places at which a comparison changes, with its neighbours, as the other leaves stand.
        def further(leaf, found)
          return found[leaf.text] unless steps(leaf).ordered?

          places =
            concerning(leaf).flat_map do |pair|
              beside(pair, leaf, found).flat_map do |given|
                Analysis::Crossings
                  .new(steps(leaf), bounds(leaf), returning?(pair))
                  .find(found[leaf.text]) { |value| stand(pair, given.merge(leaf.text => value)) }
              end
            end
          trim(leaf, inside(leaf, found[leaf.text] | places), found[leaf.text])
        end

        def trim(leaf, all, before)
          return all if all.length <= MOST

          kept = before.first(MOST)
          (
            kept |
              (all - kept).each_slice([(all.length - kept.length).fdiv([MOST - kept.length, 1].max).ceil, 1].max).map(
                &:first
              )
          ).sort
        end

        def returning?(pair)
          pair
            .select { |side| node?(side) }
            .any? do |side|
              found = false
              side.walk do |node|
                found ||=
                  (node.is_a?(Expression::Nodes::Call) && RETURNING.include?(node.name)) ||
                  (node.is_a?(Expression::Nodes::Arithmetic) && node.sign == "mod")
              end
              found
            end
        end

        # @return [Array<Hash>] values of the other leaves of a pair
        def beside(pair, leaf, found)
          others = leaves_of(*pair) - [leaf.text]
          return [{}] if others.empty?

          lists = others.map { |text| (found[text] || []).compact.first(BESIDE) }
          return [{}] if lists.any?(&:empty?)

          lists.first.product(*lists.drop(1)).first(BESIDE * 2).map { |values| others.zip(values).to_h }
        end

        # @return [Integer, nil] how the sides of a pair stand to one another
        def stand(pair, given)
          one, other = pair.map { |side| node?(side) ? @leaves.value(side, given) : side }
          if one.nil? || other.nil? || one.class != other.class && !(one.is_a?(Date) && other.is_a?(Date))
            nil
          else
            Expression::Comparator.order(one, other) <=> 0
          end
        end

        # Something in each gap between two values, and beyond the last ones.
        def spread(leaf, values)
          return values unless steps(leaf).ordered?

          low, high = bounds(leaf)
          between = values.each_cons(2).filter_map { |one, other| steps(leaf).between(one, other) }
          ends = [
            values.first && steps(leaf).moved(values.first, -1),
            values.last && steps(leaf).moved(values.last, 1),
            low,
            high
          ]
          inside(leaf, values | between | ends.compact)
        end

        def same?(one, other) = Unicode.folded(one) == Unicode.folded(other)
      end
    end
  end
end
