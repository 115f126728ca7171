# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # What a calculation gives on records that exist, beside what they hold now.
      class CalculationPreview < EffectPreview
        # @return [String] "failed", "blank", "changes" or "same"
        def verdict(id, values) = judged(*worked_out(id, values), stored(id, values))

        # @return [Hash] verdict:, stored:, result: and how:
        def preview(id, values)
          result, notes, evaluation = worked_out(id, values)
          stored = stored(id, values)
          how = [notes.join("; "), @rule.formula.with_values(evaluation)].reject(&:empty?).join(": ")
          {verdict: judged(result, notes, evaluation, stored), stored: shown(stored), result: shown(result), how: how}
        end

        # @return [Array<String>] what makes it worked out on reading, in words
        def fleeting = @design.neighbours.upkeep.fleeting_in(@rule.formula)

        private

        def formulas = [@rule.formula].compact

        # @return [Array(Object, Array<String>, Evaluation)] the value, and why there is none
        def worked_out(id, values)
          evaluation = evaluation(id, values, is_new: false)
          result = @field.coerce(@rule.formula.call(evaluation))
          notes = evaluation.notes.map(&:last)
          return [result, notes, evaluation] unless result.is_a?(Core::Values::Unreadable)

          [nil, notes << result.message, evaluation]
        end

        def judged(result, notes, _evaluation, stored)
          return "failed" if notes.any?
          return "blank" if result.nil?

          (result == stored) ? "same" : "changes"
        end

        # What the record shows now: kept, or worked out by the design as it is.
        def stored(id, values)
          return if now.field(@field.key)&.type != @field.type

          values.fetch(@field.key) { now.scope[@field.key].computed&.call(evaluation(id, values, is_new: false)) }
        end

        def now = @now ||= @workspace.table(@design.key)
      end
    end
  end
end
