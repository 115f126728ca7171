# frozen_string_literal: true

module UpTack
  module UseCases
    # What a calculation gives on records that exist, beside what they hold now.
    class CalculationSight < Sight
      # @return [Hash] verdict: "failed", "blank", "changes" or "same"
      def of(id, values)
        evaluation = evaluation(id, values, is_new: false)
        result = @field.settle(@formula.call(evaluation))
        notes = evaluation.notes.map(&:last)
        if result.is_a?(Core::Values::Unreadable)
          notes << result.message
          result = nil
        end
        stored = stored(id, values)
        {verdict: verdict(result, stored, notes), stored: shown(stored), result: shown(result), how: how(notes, evaluation)}
      end

      # @return [Array<String>] what makes it worked out on reading, in words
      def fleeting = @design.neighbours.upkeep.fleeting_in(@formula)

      private

      def how(notes, evaluation) = [notes.join("; "), @formula.with_values(evaluation)].reject(&:empty?).join(": ")

      def verdict(result, stored, notes)
        return "failed" if notes.any?
        return "blank" if result.nil?

        (result == stored) ? "same" : "changes"
      end

      # What the record shows now: kept, or worked out by the design as it is.
      def stored(id, values)
        now = @workspace.table(@design.key)
        return if now.field(@field.key)&.type != @field.type

        values.fetch(@field.key) { now.scope[@field.key].computed&.call(evaluation(id, values, is_new: false)) }
      end
    end
  end
end
