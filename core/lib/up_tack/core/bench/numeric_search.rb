# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # The part of the solver that moves one field of a record, a number or a day, so that
      # two sides of a comparison stand as is wanted.
      module NumericSearch
        Nodes = Expression::Nodes

        private

        # @return [Array<String>] keys of fields by which a side can be moved
        def movable(node)
          found = []
          node.walk do |each|
            next unless each.is_a?(Nodes::Field) && !each.before && !each.outside

            field = @table.field(each.key)
            next unless field&.ordered?

            next found.concat(roots(field.key)) if @table.worked_out?(field.key)

            found << field.key unless rule_owned?(field.key)
          end
          found.select { |key| may_change?(key) }
        end

        # What a calculated field is worked out from.
        def roots(key)
          (Analysis::TopologicalSort.through([key], [], @table) - [key]).select do |each|
            !@table.rule_owned?(each) && @table.field(each)&.ordered?
          end
        end

        # Two looks tell how fast a field moves the difference; then it is set so that the
        # difference is what is wanted, and looked at once more.
        def moved(key, left, right, target, values)
          field = @table.field(key)
          from = values[key] || Samples::Values.usual(field)
          first = difference(left, right, with(values, {key => from})) or return []
          second = difference(left, right, with(values, {key => shifted(from, step(key))})) or return []
          slope = second - first
          return [] if slope.zero?

          unit = slope.abs
          count = ((unit * target) - first) / slope
          coerced = coerce(field, shifted(from, steps(count, key)))
          return [] if coerced.nil?

          (order(left, right, with(values, {key => coerced})) == target) ? [{key => coerced}] : []
        end

        def steps(count, key)
          width = step(key)
          width.is_a?(BigDecimal) ? width * count : count.round * width
        end

        def shifted(value, by)
          case value
          when DayTime then DayTime.new((value.seconds + by.to_i).clamp(0, 86_399))
          when ::Date, ::Time then value + by.to_i
          else value + by
          end
        end

        def coerce(field, value)
          found = field.coerce(value)
          found.is_a?(Core::Values::Unreadable) ? nil : found
        end

        def difference(left, right, values)
          one, other = value_of(left, values), value_of(right, values)
          return if one.nil? || other.nil?

          case one
          when BigDecimal then other.is_a?(BigDecimal) ? one - other : nil
          when ::Date then other.is_a?(::Date) ? BigDecimal((one - other).to_i) : nil
          when ::Time then other.is_a?(::Time) ? BigDecimal(((one - other) / 60).round) : nil
          when DayTime then other.is_a?(DayTime) ? BigDecimal((one.seconds - other.seconds) / 60) : nil
          end
        end

        def order(left, right, values)
          one, other = value_of(left, values), value_of(right, values)
          (one.nil? || other.nil?) ? nil : Expression::Comparator.order(one, other) <=> 0
        end
      end
    end
  end
end
