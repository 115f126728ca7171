# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # What a clean-up makes of the texts that are there.
      class TidyPreview < EffectPreview
        # @return [String] "changes", "same" or "blank"
        def verdict(_id, values) = judged(values[@field.key])

        # @return [Hash] verdict:, stored:, result: and how:
        def preview(_id, values)
          value = values[@field.key]
          {verdict: judged(value), stored: value.to_s, result: value && @definition.run(value), how: nil}
        end

        private

        def judged(value)
          return "blank" if value.nil?

          (@definition.run(value) == value) ? "same" : "changes"
        end
      end
    end
  end
end
