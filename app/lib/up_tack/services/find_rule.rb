# frozen_string_literal: true

module UpTack
  module Services
    # Finds a rule of a table.
    class FindRule
      def initialize(workspace)
        @workspace = workspace
      end

      # @return [Core::Rules::Rule]
      # @raise [Store::NotFound]
      def call(table:, rule:)
        design = @workspace.table(table)
        design.rule(rule) ||
          raise(Store::NotFound, "There is no rule `#{rule}` in #{design.label}; it may have been taken off.")
      end
    end
  end
end
