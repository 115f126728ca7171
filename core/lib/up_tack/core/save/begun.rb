# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # A new record halfway through its rules, as something that is soon handed over:
      # numbers and days are whole numbers in it wherever they can be.
      # values:: by field key, as Outcome has them but for that
      # origins:: [key, source, rule id] of each value that has one, one after the other;
      #   in which words is left out
      # claimed:: what came along for fields that are worked out, by key; nil mostly
      Begun = Struct.new(:values, :origins, :claimed) do
        # @param plan [Plan]
        # @param values [Hash] which nobody else needs any more
        def self.of(plan, values, origins, claimed)
          plan.whole.each do |key, type|
            value = values[key] or next
            if type == "date" then values[key] = value.jd
            elsif value.frac.zero? then values[key] = value.to_i
            end
          end
          new(values, origins.flat_map { |key, origin| [key, origin.source, origin.rule] }, claimed.empty? ? nil : claimed)
        end

        # @return [Hash{String=>Object}]
        def values_for(plan)
          plan.whole.each do |key, type|
            value = values[key]
            values[key] = (type == "date") ? ::Date.jd(value) : BigDecimal(value) if value.is_a?(Integer)
          end
          values
        end

        # @return [Hash{String=>Origin}]
        def origins_for(plan)
          found = {}
          index = 0
          while index < origins.length
            found[origins[index]] = plan.origin(origins[index + 1], origins[index + 2])
            index += 3
          end
          found
        end
      end
    end
  end
end
