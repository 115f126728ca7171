# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # What a fill would set in the records that exist, were it moved there now,
      # beside what they hold. It changes none of them.
      class FillPreview < EffectPreview
        # @return [String] "same", "differs" or "idle"
        def verdict(id, values) = judged(values, results(evaluation(id, values)))

        # @return [Hash] verdict:, stored:, result: and how:
        def preview(id, values)
          evaluation = evaluation(id, values)
          results = results(evaluation)
          field, value, formula = telling(values, results)
          {
            verdict: judged(values, results),
            stored: field ? text(field, values[field.key]) : "",
            result: field ? text(field, value) : nil,
            how: how(evaluation, formula)
          }
        end

        private

        # A fill that waits for something to come true sets nothing where it is not.
        def results(evaluation) = reached?(evaluation) ? @rule.results(evaluation) : []

        def reached?(evaluation) = @rule.reaches.nil? || @rule.reaches.call(evaluation) == true

        def how(evaluation, formula)
          reached = reached?(evaluation)
          [
            @rule.reaches&.with_values(evaluation),
            (@rule.condition&.with_values(evaluation) if reached),
            (formula&.with_values(evaluation) if reached)
          ].compact.join(" → ")
        end

        def formulas = [@rule.reaches, @rule.condition, *@rule.sets.flat_map { |set| [set.to, set.otherwise] }].compact

        # The first that would be another value, else the first of all.
        def telling(values, results) = results.find { |field, value, _| value != values[field.key] } || results.first

        def judged(values, results)
          return "idle" if results.empty?

          (results.all? { |field, value, _| value == values[field.key] }) ? "same" : "differs"
        end

        def text(field, value)
          shown = value.is_a?(Core::Values::Unreadable) ? value.message : field.show(value, @context.records)
          if @rule.sets.length > 1
            "#{field.label} #{shown.empty? ? Core::Wording["blank"] : shown}"
          else
            shown
          end
        end
      end
    end
  end
end
