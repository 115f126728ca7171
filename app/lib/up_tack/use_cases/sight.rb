# frozen_string_literal: true

module UpTack
  module UseCases
    # What one rule, looked at alone, says of a record. Used by previews.
    class Sight
      # @return [Sight] for the kind of the rule
      def self.for(design, rule, workspace)
        kind = rule.is_a?(Core::Rules::Default) ? DefaultSight : CheckSight
        kind.new(design, rule, workspace)
      end

      def initialize(design, rule, workspace)
        @design = design
        @field = design.field(rule.field)
        @rule = rule.compile(design)
        @formula = @rule.respond_to?(:formula) ? @rule.formula : nil
        @workspace = workspace
        @context = workspace.context
      end

      # @return [Array<Core::Expression::Problem>]
      def warnings = @formula ? @formula.warnings : []

      # @return [String, nil]
      def opening = nil

      private

      def evaluation(values, is_new:)
        Core::Expression::Evaluation.new(values: values, old: is_new ? {} : values, context: @context, is_new: is_new)
      end
    end
  end
end
