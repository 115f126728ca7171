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

        # What nobody will look at.
        module Silent
          module_function

          def on? = false
          def telling? = false
          def steps = []
          def enter(_stage) = nil
          def add(_result, _field, rule: nil, before: nil, after: nil, how: nil, mark: nil) = nil
          def mark(_rule, _mark) = nil
        end

        # @param on [Boolean, :brief] :brief leaves out how a value came about
        # @param probe [Bench::Probe, nil]
        def initialize(on:, probe: nil)
          @on = on
          @probe = probe
          @stage = nil
          @steps = []
        end

        # @return [Boolean] whether somebody will look
        def on? = @on ? true : false

        # @return [Boolean] whether they want to know how, too
        def telling? = on? && @on != :brief

        def enter(stage) = @stage = stage

        # @param how [String, Told, nil]
        # @param mark [String] what the probe is told, where that is another than the result
        # @return [nil]
        def add(result, field, rule: nil, before: nil, after: nil, how: nil, mark: result)
          @probe&.step(rule.id, mark) if rule
          return unless @on

          @steps << Step.new(
            stage: @stage, field: field.label, key: field.key, rule: rule&.id, result: result,
            before: cut(before), after: cut(after), how: how&.to_s,
            parts: how.is_a?(Expression::Explanation) ? how.parts : nil
          )
          nil
        end

        # Tells the probe more of what a rule did.
        def mark(rule, mark) = @probe&.step(rule.id, mark)

        private

        def cut(text) = text && Values::Plain.cut(text, LONGEST)
      end
    end
  end
end
