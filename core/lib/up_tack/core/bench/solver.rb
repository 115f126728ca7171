# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Finds values for the fields of a record by which a condition holds, or does not,
      # or by which the two sides of a comparison stand to one another as is wanted. It
      # moves one field at a time and looks what that does to the formula, so it need not
      # know what the formula is made of.
      class Solver
        include NumericSearch
        include Searching
        include Growing

        Nodes = Expression::Nodes
        # Alternatives followed at most for one condition.
        MOST = 12
        # Signs by the sides on which they hold.
        SIDES = {
          "=" => %w[on],
          "<>" => %w[above below],
          "<" => %w[below],
          "<=" => %w[on below],
          ">" => %w[above],
          ">=" => %w[on above]
        }.freeze
        OTHER_SIDES = SIDES.to_h { |sign, sides| [sign, %w[below on above] - sides] }.freeze

        # @param table [Design::Table]
        # @param context [Context] with the records that formulas read
        # @param old [Hash{String=>Object}] the record as it is stored, for what reads `old.`
        # @param free [Boolean] whether fields that only rules give may be set too, as in a
        #   record that is there already
        # @param through [String, nil] key of the one field that may change, or what it links to
        # @param samples [Proc, nil] gives a made-up record of another table; without it none is made
        def initialize(table, context, old: {}, free: false, through: nil, samples: nil)
          @samples = samples
          @free = free
          @through = through
          @table = table
          @context = context
          @old = old
          @compiler = Expression::Compiler.new(table.scope)
          @compiled = {}.compare_by_identity
        end

        # @param node [Nodes::Node] a condition
        # @param wanted [Boolean]
        # @param values [Hash{String=>Object}] the record that it starts from
        # @return [Array<Hash{String=>Object}>] changes of the record, each of which does it, as
        #   far as can be told; keys are those of fields, "link.field" for a linked record's,
        #   "first.field" for what a record was stored as, "user.role" for the person,
        #   "children" for records that link here
        def assignments_for(node, wanted, values)
          case node
          when Nodes::Literal
            (node.value == wanted) ? [{}] : []
          when Nodes::Inversion
            assignments_for(node.operand, !wanted, values)
          when Nodes::Logic
            joined(node, wanted, values)
          when Nodes::Comparison
            (wanted ? SIDES : OTHER_SIDES)
              .fetch(node.sign)
              .flat_map { |side| assignments_relating(node.left, node.right, side, values) }
          when Nodes::Range
            ranged(node, wanted, values)
          when Nodes::Membership
            among(node, wanted, values)
          when Nodes::BlankTest
            wanted ? blanked(node.value, values) : filled(node.value, values)
          when Nodes::Conditional
            chosen(node, wanted, values)
          when Nodes::TextTest
            worded(node, wanted, values)
          when Nodes::Field, Nodes::Path
            set(node, wanted, values)
          else
            (value_of(node, values) == wanted) ? [{}] : []
          end.first(MOST)
        end

        # @param side [String] "below", "on" or "above", just as far as can be
        # @return [Array<Hash{String=>Object}>] changes by which the left stands so to the right
        def assignments_relating(left, right, side, values)
          return texts(left, right, side, values) if kind(left) == :text || kind(right) == :text

          target = {"below" => -1, "on" => 0, "above" => 1}.fetch(side)
          found = movable(left).concat(movable(right)).uniq.flat_map { |key| moved(key, left, right, target, values) }
          found = searched(left, right, target, values) if found.empty?
          if found.empty?
            found =
              optional([left, right]).select { |assignment| order(left, right, with(values, assignment)) == target }
          end
          if found.empty?
            found =
              along([left, right]).flat_map { |path| along_moved(path, left, right, target, values) }
          end
          found = grown(left, right, target, values) if found.empty?
          found.first(MOST)
        end

        # What the record is stored as, with what a way changes of that.
        def before(values)
          firsts = values.keys.select { |key| key.start_with?("first.") }
          firsts.empty? ? @old : @old.merge(firsts.to_h { |key| [key.delete_prefix("first."), values[key]] })
        end

        # @return [Object, nil] what a part of a formula comes to
        def value_of(node, values)
          (@compiled[node] ||= @compiler.compile(node)).call(
            Expression::Evaluation.new(
              values: Observed.new(values),
              old: before(values),
              context: @context,
              is_new: @old.empty?
            )
          )
        rescue Numbers::TooLarge, Unicode::TooLong
          nil
        end

        # A record as a hash; what it lacks is worked out where it can be.
        Observed = Struct.new(:values) do
          def [](key) = values[key]
          def fetch(key, &block) = values.fetch(key, &block)
          def key?(key) = values.key?(key)
        end

        # @param key [String] of a field
        # @return [Object] the least by which its values differ
        def step(key)
          field = @table.field(key)
          field ? field.values.step(field) : 1
        end

        private

        def joined(node, wanted, values)
          both = (node.word == "and") == wanted
          return node.children.flat_map { |child| assignments_for(child, wanted, values) } unless both

          first = assignments_for(node.left, wanted, values)
          first.flat_map { |assignment|
            assignments_for(node.right, wanted, with(values, assignment)).map { |other|
              assignment.merge(other)
            }
          }
        end

        def ranged(node, wanted, values)
          unless wanted
            return [
              assignments_relating(node.value, node.low, "below", values),
              assignments_relating(node.value, node.high, "above", values)
            ].flatten(1)
          end

          assignments_relating(node.value, node.low, "on",
            values) + assignments_relating(node.value, node.high, "on", values)
        end

        def among(node, wanted, values)
          return node.options.flat_map { |option| assignments_relating(node.value, option, "on", values) } if wanted

          field = field_of(node.value)
          others =
            if field&.choices&.any?
              field.open_choices.reject do |choice|
                node.options.any? { |option| same?(value_of(option, values), choice) }
              end
            else
              ["something else"]
            end
          others.map { |choice| assign(node.value, choice) }.compact
        end

        def chosen(node, wanted, values)
          [true, false].flat_map do |met|
            assignments_for(node.condition, met, values).flat_map do |assignment|
              assignments_for(met ? node.consequence : node.alternative, wanted,
                with(values, assignment)).map do |other|
                assignment.merge(other)
              end
            end
          end
        end

        def worded(node, wanted, values)
          part = value_of(node.part, values).to_s
          text =
            if wanted
              {"contains" => "an#{part}ie", "starts with" => "#{part}a", "ends with" => "a#{part}"}.fetch(
                node.relation
              )
            else
              ("zq" unless part.empty?)
            end
          [text && assign(node.text, text)].compact
        end

        def set(node, wanted, _values) = [assign(node, wanted)].compact
        def blanked(node, values) = value_of(node, values).nil? ? [{}] : [assign(node, nil)].compact

        def filled(node, values)
          return [{}] unless value_of(node, values).nil?

          field = field_of(node)
          field ? [assign(node, Samples::Values.usual(field))].compact : []
        end

        def texts(left, right, side, values)
          pairs =
            [[left, value_of(right, values)], [right, value_of(left, values)]].reject do |node, _|
              node.is_a?(Nodes::Literal)
            end
          pairs.flat_map do |node, value|
            next [] if value.nil?
            next inverted(node, value, values) || [assign(node, value)].compact if side == "on"

            differing(node, value, values)
          end
        end

        # A function of a field: a few texts are tried.
        def inverted(node, value, values)
          unless node.is_a?(Nodes::Call) && node.arguments.first.is_a?(Nodes::Field) &&
              (field = @table.field(node.arguments.first.key))
            return
          end

          mask = @table.mask(field.key)
          tried =
            if mask
              ["#{value}#{Masks::Examples.sample(mask)[value.to_s.length..]}"]
            else
              [value.to_s, "#{value}a", "a#{value}"]
            end
          tried
            .select { |text| same?(value_of(node, with(values, {field.key => text})), value) }
            .map { |text| {field.key => text} }
        end

        def differing(node, value, values)
          field = field_of(node)
          return (same?(value_of(node, values), value) ? [] : [{}]) unless field || node.is_a?(Nodes::Path)

          options =
            field&.choices&.any? ? field.open_choices.reject { |choice| same?(choice, value) } : ["something else"]
          options.first(3).filter_map { |option| assign(node, option) }
        end

        # @return [Hash, nil] the change that gives a part of a formula a value, where it is
        #   a field that somebody may type, a field of a linked record, or the person's role
        def assign(node, value)
          assigned(node, value)&.then { |assignment| assignment if may_change?(assignment.keys.first) }
        end

        def may_change?(key) = @through.nil? || key.split(".").first == @through

        def assigned(node, value)
          case node
          when Nodes::Field
            return {"first.#{node.key}" => value} if node.before && @table.field(node.key)

            if !node.before && !node.outside && (field = @table.field(node.key)) && !rule_owned?(field.key)
              {node.key => value}
            end
          when Nodes::Path
            if node.owner.is_a?(Nodes::Field) && !node.owner.before && @table.field(node.owner.key)&.link?
              {"#{node.owner.key}.#{node.key}" => value}
            end
          when Nodes::Person
            {"user.#{node.name}" => value}
          end
        end

        # @return [Array<Hash>] each option of each choice and tick in some parts of a formula
        def optional(nodes)
          found = []
          nodes.each do |node|
            node.walk do |each|
              next unless each.is_a?(Nodes::Field) && !each.outside && (field = @table.field(each.key))
              next unless field.listed? || field.yes_no?

              (field.listed? ? field.open_choices : [true, false]).each do |option|
                found << assign(each, option)
              end
            end
          end
          found = found.compact.uniq
          found + found.combination(2).map { |one, other| one.merge(other) }.first(60)
        end

        # @return [Array<Nodes::Path>] details of linked records, one step away
        def along(nodes)
          found = []
          nodes.each do |node|
            node.walk { |each| found << each if each.is_a?(Nodes::Path) && each.owner.is_a?(Nodes::Field) }
          end
          found
        end

        # Where a whole side is a detail of a linked record, another one may have what is wanted.
        def along_moved(path, left, right, target, values)
          other = {left => right, right => left}.compare_by_identity[path]
          value = other && value_of(other, values)
          return [] if value.nil?

          target = -target if path.equal?(right)
          [assign(path, value.is_a?(String) ? value : shifted(value, target))].compact
        end

        def rule_owned?(key) = @free ? @table.worked_out?(key) : @table.rule_owned?(key)

        def kind(node)
          return Values::Types.type_of(node.value) if node.is_a?(Nodes::Literal)

          Expression::Checker.new(@table.scope).check(node)
        end

        # @return [Design::Field, nil] that which a part of a formula names
        def field_of(node) = node.is_a?(Nodes::Field) ? @table.field(node.key) : nil

        def same?(one, other) =
          !one.nil? && one.instance_of?(other.class) && Expression::Comparator.order(one, other).zero?

        def with(values, assignment) = values.merge(assignment)
      end
    end
  end
end
