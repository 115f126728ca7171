# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # Which records hold a choice, or a link, that does not belong.
      class DependentChoicePreview < EffectPreview
        # @return [String] "refused", "passed" or "blank"
        def verdict(id, values)
          value = values[@field.key]
          return "blank" if value.nil?

          @rule.belongs?(value, evaluation(id, values)) ? "passed" : "refused"
        end

        # @return [Hash] verdict:, stored:, result: and how:
        def preview(id, values)
          {
            verdict: verdict(id, values),
            stored: shown(values[@field.key]),
            result: nil,
            how: @rule.formula&.with_values(evaluation(id, values)) || parent(id, values)
          }
        end

        private

        def formulas = [@rule.formula].compact

        def parent(id, values)
          return unless @rule.by

          field = @design.field(@rule.by)
          "#{field.label} #{field.show(@rule.parent.call(evaluation(id, values)))}"
        end
      end
    end
  end
end
