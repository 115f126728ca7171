# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # The line that would be written on each record if its event happened now.
      class LinePreview < EffectPreview
        # @return [String] "failed", "blank" or "passed"
        def verdict(id, values) = judged(*describe(id, values))

        # @return [Hash] verdict:, stored:, result: and how:
        def preview(id, values)
          text, notes = describe(id, values)
          {
            verdict: judged(text, notes),
            stored: shown(stored(id, values)),
            result: text,
            how: notes.join("; ").then { |why| why.empty? ? nil : why }
          }
        end

        private

        def formulas = [@rule.formula, @rule.condition].compact

        def describe(id, values)
          evaluation = evaluation(id, values)
          [@rule.formula.call(evaluation), evaluation.notes.map(&:last)]
        end

        def judged(text, notes)
          return "failed" if notes.any?

          text.nil? ? "blank" : "passed"
        end
      end
    end
  end
end
