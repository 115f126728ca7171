# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # What a default would have given the records that exist, beside what they
      # hold. It changes none of them.
      class DefaultPreview < EffectPreview
        # @return [String] "same", "differs" or "blank"
        def verdict(id, values) = judged(result(evaluation(id, values, is_new: true)), stored(id, values))

        # @return [Hash] verdict:, stored:, result: and how:
        def preview(id, values)
          evaluation = evaluation(id, values, is_new: true)
          result = result(evaluation)
          stored = stored(id, values)
          if result.is_a?(Core::Values::Unreadable)
            return {verdict: "blank", stored: shown(stored), result: nil, how: result.message}
          end

          {
            verdict: judged(result, stored),
            stored: shown(stored),
            result: shown(result),
            how: @rule.formula&.with_values(evaluation)
          }
        end

        # @return [String] what a new record would open with
        def opening
          plan = Core::Save::Plan.new(@design, @workspace.project.conventions)
          outcome = Core::Save.call(plan, Core::Save::Draft.new(typed: {}, stored: nil), @context)
          shown(outcome.values[@field.key])
        end

        private

        def formulas = [@rule.formula].compact

        # @return [Object, nil, Core::Values::Unreadable]
        def result(evaluation) = @rule.formula ? @field.coerce(@rule.formula.call(evaluation)) : @rule.fixed

        def judged(result, stored)
          return "blank" if result.nil? || result.is_a?(Core::Values::Unreadable)

          (result == stored) ? "same" : "differs"
        end
      end
    end
  end
end
