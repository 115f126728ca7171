# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # What would have been copied into the records that exist, beside what they
      # hold. It changes none of them.
      class CopyPreview < EffectPreview
        # @return [String] "same", "differs" or "blank"
        def verdict(id, values) = judged(copied(id, values), values[@field.key])

        # @return [Hash] verdict:, stored:, result: and how:
        def preview(id, values)
          copied = copied(id, values)
          {
            verdict: judged(copied, values[@field.key]),
            stored: shown(values[@field.key]),
            result: shown(copied),
            how: nil
          }
        end

        private

        def formulas = [@rule.formula].compact

        def copied(id, values)
          value = @field.coerce(@rule.formula.call(evaluation(id, values)))
          value unless value.is_a?(Core::Values::Unreadable)
        end

        def judged(copied, stored)
          return "blank" if copied.nil?

          (copied == stored) ? "same" : "differs"
        end
      end
    end
  end
end
