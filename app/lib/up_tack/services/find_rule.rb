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
          raise(
            Store::NotFound,
            Core::Messages["services.find_rule.there_is_no_rule", rule: rule, design: design.label]
          )
      end
    end
  end
end
