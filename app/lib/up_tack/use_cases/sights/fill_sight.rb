# frozen_string_literal: true

module UpTack
  module UseCases
    module Sights
      # What a fill would set in the records that exist, were it moved there now,
      # beside what they hold. It changes none of them.
      class FillSight < Sight
        # @return [String] "same", "differs" or "idle"
        def verdict(id, values) = judged(values, @rule.results(evaluation(id, values)))

        # @return [Hash] verdict:, stored:, result: and how:
        def of(id, values)
          evaluation = evaluation(id, values)
          results = @rule.results(evaluation)
          field, value, formula = telling(values, results)
          {
            verdict: judged(values, results), stored: field ? text(field, values[field.key]) : "", result: field ? text(field, value) : nil,
            how: [@rule.condition&.with_values(evaluation), formula&.with_values(evaluation)].compact.join(" → ")
          }
        end

        private

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
            "#{field.label} #{shown.empty? ? "blank" : shown}"
          else
            shown
          end
        end
      end
    end
  end
end
