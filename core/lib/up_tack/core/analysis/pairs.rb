# frozen_string_literal: true

module UpTack
  module Core
    module Analysis
      # Fills that set each other's fields, such as kilograms from pounds and pounds from kilograms.
      # Each is moved by what a person or an earlier rule changed, never by the other one, so both
      # may stand and neither is run twice.
      module Pairs
        module_function

        # @param one [Rules::Rule]
        # @param other [Rules::Rule]
        # @return [Boolean] whether each is moved by what the other sets
        def mutual?(one, other, table)
          return false if one.equal?(other) || !one.moved_by_change? || !other.moved_by_change?

          moves?(one, other, table) && moves?(other, one, table)
        end

        # @return [Array<String>] ids of the rules whose changes do not move a rule
        def find(rule, table)
          return [] unless rule.moved_by_change?

          table.rules.select { |other| mutual?(rule, other, table) }.map(&:id)
        end

        def moves?(one, other, table)
          (one.writes & TopologicalSort.through(other.awaits(table), [], table)).any?
        end
      end
    end
  end
end
