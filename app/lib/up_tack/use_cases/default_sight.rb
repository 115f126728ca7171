# frozen_string_literal: true

module UpTack
  module UseCases
    # What a default would have given the records that exist, beside what they
    # hold. It changes none of them.
    class DefaultSight < Sight
      # @return [Hash] verdict: "same", "differs" or "blank"
      def of(id, values)
        evaluation = evaluation(id, values, is_new: true)
        result = @formula ? @field.settle(@formula.call(evaluation)) : @rule.fixed
        how = @formula&.with_values(evaluation)
        return {verdict: "blank", stored: shown(stored(id, values)), result: nil, how: result.message} if result.is_a?(Core::Values::Unreadable)

        {verdict: verdict(result, stored(id, values)), stored: shown(stored(id, values)), result: shown(result), how: how}
      end

      # @return [String] what a new record would open with
      def opening
        plan = Core::Save::Plan.new(@design, @workspace.project.conventions)
        outcome = Core::Save.call(plan, Core::Save::Draft.new(typed: {}, stored: nil), @context)
        shown(outcome.values[@field.key])
      end

      private

      def verdict(result, stored)
        return "blank" if result.nil?

        (result == stored) ? "same" : "differs"
      end
    end
  end
end
