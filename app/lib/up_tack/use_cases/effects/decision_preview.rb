# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # Which row of a decision table fits the records that exist, and whether they
      # hold what it says. It changes none of them.
      class DecisionPreview < EffectPreview
        # @return [String] "same", "differs" or "unjudged"
        def verdict(id, values) = judged(values, row(id, values))

        # @return [Hash] verdict:, stored:, result:, how: and row:, counted from 0
        def preview(id, values)
          place = row(id, values)
          seen = @rule.inputs.map { |formula| formula.with_values(evaluation(id, values)) }.join(", ")
          {
            verdict: judged(values, place),
            stored: place ? describe(@rule.outputs.map { |field| values[field.key] }) : "",
            result: place ? describe(@rule.rows[place].outputs) : nil,
            how: how(seen, place),
            row: place
          }
        end

        private

        def how(seen, place)
          return Core::Wording["%{values}: no row matches", values: seen] unless place

          Core::Wording["%{values} → row %{number}", values: seen, number: place + 1]
        end

        def formulas = @rule.inputs
        def row(id, values) = @rule.row_for(@rule.values(evaluation(id, values)))

        def judged(values, place)
          return "unjudged" unless place

          if @rule.outputs.zip(@rule.rows[place].outputs).all? { |field, value| values[field.key] == value }
            "same"
          else
            "differs"
          end
        end

        def describe(results) =
          @rule
            .outputs
            .zip(results)
            .map { |field, value| value.nil? ? "–" : field.show(value, @context.records) }
            .join(" · ")
      end
    end
  end
end
