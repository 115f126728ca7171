# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # What shows of the value of a rule's formula: a condition is met or not, a check refuses or not, and
      # a field keeps a value as it keeps all others.
      module Effect
        module_function

        # @param rule [Rules::Rule]
        # @param part [String] where the formula stands in the rule
        # @param value [Object, nil] that it came to
        # @param table [Design::Table]
        # @return [Object, nil]
        def compute(rule, part, value, table)
          return value == false if rule.checks? && part == "formula"
          return value == true if CoverageTargets::CONDITIONS.include?(part)
          return value if value.nil? || !(rule.calculates? || rule.defaults? || rule.fills?)

          target = part.start_with?("sets.") ? rule.sets[part.split(".")[1].to_i]["field"] : rule.field
          table.field(target).coerce(value)
        end
      end
    end
  end
end
