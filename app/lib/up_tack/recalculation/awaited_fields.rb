# frozen_string_literal: true

module UpTack
  module Recalculation
    # Calculated fields for which stamps, tallies and log lines wait.
    module AwaitedFields
      module_function

      # @param table [Core::Design::Table]
      # @param key [String] of a calculated field
      # @return [Boolean] whether anything waits for it
      def awaited?(table, key) = waiting(table, [key]).any?

      # Only what names one of the fields: that a record followed another is no change made to it.
      # @param keys [Array<String>]
      # @return [Array<Core::Rules::Rule>] that wait for one of them
      def waiting(table, keys) =
        table.rules.select { |rule| rule.logs? && rule.owns? && (rule.awaited(table) & keys).any? }
    end
  end
end
