# frozen_string_literal: true

module UpTack
  module Core
    module Conditions
      # Says a case, a value for each unknown, in words: how two that are compared
      # stand to one another rather than what they are.
      class CaseFormatter
        RELATIONS = {-1 => "is below", 0 => "equals", 1 => "is above"}.freeze

        # @param table [Design::Table]
        # @param conditions [Conditions::ConditionModel]
        def initialize(table, conditions)
          @table = table
          @conditions = conditions
          @unknowns = conditions.unknowns
          @say = Expression::Humanizer.new(table.scope)
        end

        # @param given [Hash{String=>Object}] a value by the text of each leaf
        # @param telling [Array<String>] texts of the leaves that matter
        # @return [Array<String>]
        def words(given, telling)
          blank = telling.select { |text| given[text].nil? }
          assignment = @conditions.values(given)
          concerned = @unknowns.select { |unknown|
            (leaves_of(unknown) & telling).any? && !assignment[unknown.text].nil?
          }
          blank.map { |text| Wording["%{condition} is blank", condition: @conditions.leaves[text].node.accept(@say)] } |
            concerned.flat_map { |unknown| sentences(unknown, assignment, concerned.map(&:text)) }.uniq
        end

        # @param given [Hash{String=>Object}] a value by the text of each leaf
        # @return [Hash{String=>Object}] values of fields, plain, for a record to try
        def values(given)
          leaves =
            @conditions.leaves.all.select do |leaf|
              leaf.field && !given[leaf.text].nil? && !@table.rule_owned?(leaf.field.key)
            end
          leaves.to_h { |leaf| [leaf.field.key, Values.dump(given[leaf.text])] }
        end

        # A detail of a linked record that a case is of.
        # link:: key of the link; table, key:: where the detail stands
        # value:: that of the case; beside:: keys of fields that it is compared with
        Linked = Struct.new(:link, :table, :key, :value, :beside)

        # @return [Array<Linked>] those that are one step away
        def linked(given)
          @conditions.leaves.all.filter_map do |leaf|
            node = leaf.node
            unless node.is_a?(Expression::Nodes::Path) && node.owner.is_a?(Expression::Nodes::Field) &&
                (link = @table.field(node.owner.key))&.link?
              next
            end

            unknown = @unknowns.find { |each| each.text == leaf.text }
            others =
              if unknown
                @unknowns.select do |other|
                  other.peers.include?(unknown.text) || unknown.peers.include?(other.text)
                end
              else
                []
              end
            Linked.new(
              link.key,
              link.target,
              node.key,
              given[leaf.text],
              others.filter_map do |other|
                other.node.key if other.node.is_a?(Expression::Nodes::Field) && !other.node.before
              end
            )
          end
        end

        private

        def leaves_of(unknown) = @conditions.leaves.find(unknown.node)

        def sentences(unknown, assignment, telling)
          value = assignment[unknown.text]
          name = unknown.node.accept(@say)
          if unknown.kind == :test && !unknown.node.is_a?(Expression::Nodes::Field)
            return [value ? name : Wording["%{name} is false", name: name]]
          end

          compared =
            unknown
              .peers
              .select { |text| telling.include?(text) && !assignment[text].nil? }
              .map { |text| beside(unknown, name, assignment, text) }
          peered =
            compared.any? ||
            @unknowns.any? { |other| other.peers.include?(unknown.text) && telling.include?(other.text) }
          (peered && unknown.constants.empty?) ? compared : [*compared, alone(unknown, name, value)]
        end

        def beside(unknown, name, assignment, text)
          other = @unknowns.find { |each| each.text == text }
          order = Expression::Comparator.order(assignment[unknown.text], assignment[text]).clamp(-1, 1)
          "#{name} #{Wording[RELATIONS.fetch(order)]} #{other.node.accept(@say)}"
        end

        def alone(unknown, name, value)
          limits = unknown.constants.reject { |each| each.is_a?(String) || [true, false].include?(each) }.sort
          if limits.empty? || limits.include?(value)
            return Wording["%{name} is %{value}", name: name, value: show(unknown, value)]
          end

          low, high = [limits.select { |limit| limit < value }.last, limits.find { |limit| limit > value }]
            .map { |limit| limit && show(unknown, limit) }
          return Wording["%{name} is between %{low} and %{high}", name: name, low: low, high: high] if low && high

          return Wording["%{name} is above %{low}", name: name, low: low] if low

          Wording["%{name} is below %{high}", name: name, high: high]
        end

        def show(unknown, value)
          field = unknown.node.is_a?(Expression::Nodes::Field) ? @table.field(unknown.node.key) : nil
          return field ? field.show(value) : Values.show(value, @table.scope.conventions) unless value.is_a?(String)

          value.start_with?("other ") ? Wording["something else"] : Values::Plain.quoted(value)
        end
      end
    end
  end
end
