# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # Collects the steps of one save, when somebody will look at them.
      class Trace
        # Characters of a value in a step; longer ones are cut with an ellipsis.
        LONGEST = 120

        # @return [Array<Step>]
        attr_reader :steps

        def initialize(on:)
          @on = on
          @stage = nil
          @steps = []
        end

        # @return [Boolean] whether somebody will look
        def on? = @on

        def enter(stage) = @stage = stage

        # @param how [String, Proc, nil] a Proc is asked only when the trace is on
        # @return [nil]
        def add(result, field, rule: nil, before: nil, after: nil, how: nil)
          return unless @on

          how = how.call if how.respond_to?(:call)
          @steps << Step.new(
            stage: @stage, field: field.label, key: field.key, rule: rule&.id, result: result,
            before: cut(before), after: cut(after), how: how
          )
          nil
        end

        private

        def cut(text) = text && Values::Plain.cut(text, LONGEST)
      end
    end
  end
end
