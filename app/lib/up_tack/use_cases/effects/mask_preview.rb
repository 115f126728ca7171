# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # What a mask makes of the texts that are there.
      class MaskPreview < EffectPreview
        # @return [String] "refused", "changes", "same" or "blank"
        def verdict(_id, values) = judged(values[@field.key])

        # @return [Hash] verdict:, stored:, result: and how:
        def preview(_id, values)
          value = values[@field.key]
          found = value && @rule.mask.fit(value)
          {
            verdict: judged(value),
            stored: shown(value),
            result: (found&.complete ? found.text : nil),
            how: found&.message
          }
        end

        private

        def judged(value)
          return "blank" if value.nil?

          found = @rule.mask.fit(value)
          return (found.text == value) ? "same" : "changes" if found.complete

          (found.half && @definition.clears?) ? "changes" : "refused"
        end
      end
    end
  end
end
