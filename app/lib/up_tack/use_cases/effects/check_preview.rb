# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # What a validation says of records that exist.
      class CheckPreview < EffectPreview
        VERDICTS = {refused: "refused", passed: "passed", skipped: "unjudged"}.freeze

        # @return [String] "refused", "passed" or "unjudged"
        def verdict(id, values) = VERDICTS.fetch(@rule.test.call(evaluation(id, values)).state)

        # @return [Hash] verdict:, stored:, result: and how:
        def preview(id, values)
          evaluation = evaluation(id, values)
          found = @rule.test.call(evaluation)
          how = found.explain(evaluation)&.to_s
          {
            verdict: verdict(id, values),
            stored: shown(stored(id, values)),
            result: (@rule.message_for(evaluation) if found.state == :refused && @rule.saying),
            how: how || formulas.first&.with_values(evaluation)
          }
        end

        private

        def formulas = [*@rule.test.formulas, @rule.saying].compact
      end
    end
  end
end
