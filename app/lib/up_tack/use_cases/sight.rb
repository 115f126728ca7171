# frozen_string_literal: true

module UpTack
  module UseCases
    # What one rule, looked at alone, says of a record. Used by previews.
    class Sight
      # @return [Sight] for the kind of the rule
      def self.for(design, rule, workspace)
        kind = {"default" => DefaultSight, "calculation" => CalculationSight}.fetch(rule.kind, CheckSight)
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

      # Reads what the rule asks of other records, for a batch of records.
      def prepare(batch)
        @context = @workspace.context
        Upkeep::Preload.new(ways, @context.records).for(batch)
      end

      # @return [Array<Core::Expression::Problem>]
      def warnings = @formula ? @formula.warnings : []

      # @return [String, nil]
      def opening = nil

      # @return [Array<String>] what makes the rule's value change by itself, in words
      def fleeting = []

      private

      def ways = @formula ? @design.neighbours.upkeep.ways_of(@formula) : []

      def stored(id, values) = values.fetch(@field.key) { @design.scope[@field.key].computed&.call(evaluation(id, values, is_new: false)) }

      def shown(value) = @field.show(value, @context.records)

      def evaluation(id, values, is_new:)
        Core::Expression::Evaluation.new(values: values, old: is_new ? {} : values, context: @context, is_new: is_new, id: is_new ? nil : id)
      end
    end
  end
end
