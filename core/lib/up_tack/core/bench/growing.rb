# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # The part of the solver that makes linked records, so that what is counted, added up or compared
      # over them comes to what is wanted; also where a field is calculated from that.
      module Growing
        Nodes = Expression::Nodes
        # Linked records made at most.
        MOST_CHILDREN = 12

        # @param node [Nodes::Aggregate]
        # @param other [Design::Table] whose records link here
        # @return [Hash{String=>Object}] one of them that counts
        def counted(node, other)
          sample = @samples.call(other)
          return sample unless node.condition

          sample.merge(Solver.new(other, @context, free: true).assignments_for(node.condition, true,
            sample).first || {})
        end

        private

        # @param target [Integer] how the left is to stand to the right
        # @return [Array<Hash>] "children" as a Scene takes them
        def grown(left, right, target, values)
          return [] unless @samples

          [[left, right, target], [right, left, -target]].flat_map do |side, other, sign|
            node = aggregate(side) or next []
            limit = value_of(other, values)
            limit.is_a?(BigDecimal) ? children(node, limit, sign) : []
          end
        end

        # @return [Nodes::Aggregate, nil] what a side is, or is calculated from
        def aggregate(side)
          return side if side.is_a?(Nodes::Aggregate)

          return if !side.is_a?(Nodes::Field) || side.before

          calculation = @table.calculation(side.key)
          tree = calculation && Expression.parse(calculation.attributes["formula"])
          tree if tree.is_a?(Nodes::Aggregate)
        end

        def children(node, limit, sign)
          source = Expression::Source.new(@table.scope, node.source)
          return [] if source.steps.length > 1

          step = source.steps.last
          other = @table.neighbours.tables.fetch(step.table)
          one = counted(node, other)
          all =
            if node.name == "count"
              Array.new((limit + sign).clamp(0, MOST_CHILDREN).to_i) { one }
            else
              valued(source, other, one, limit, sign)
            end
          all.empty? ? [] : [{"children" => [step.table, step.key, *all]}]
        end

        # One linked record with the value that is wanted.
        def valued(source, other, one, limit, sign)
          key = source.value.one? ? source.value.first.key : nil
          field = key && other.field(key)
          return [] unless field&.numeric? && !other.rule_owned?(key)

          [one.merge(key => limit + (sign * BigDecimal("1e-#{field.decimals || 1}")))]
        end
      end
    end
  end
end
