# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # Which records are locked as they are stored.
      class LockPreview < EffectPreview
        # @return [String] "locked" or "passed"
        def verdict(id, values) = (@rule.test.formula.call(evaluation(id, values)) == true) ? "locked" : "passed"

        # @return [Hash] verdict:, stored:, result: and how:
        def preview(id, values)
          {
            verdict: verdict(id, values),
            stored: shown(stored(id, values)),
            result: nil,
            how: @rule.test.formula.with_values(evaluation(id, values))
          }
        end

        private

        def formulas = [@rule.test.formula]
      end
    end
  end
end
