# frozen_string_literal: true

module UpTack
  module UseCases
    # What a validation says of records that exist.
    class CheckSight < Sight
      # @return [Hash] verdict: "refused", "passed" or "unjudged"
      def of(id, values)
        @formula ? judged(id, values) : filled(id, values)
      end

      private

      def judged(id, values)
        evaluation = evaluation(id, values, is_new: false)
        met = @formula.call(evaluation)
        verdict = {true => "passed", false => "refused"}.fetch(met, "unjudged")
        {verdict: verdict, stored: shown(stored(id, values)), result: nil, how: @formula.with_values(evaluation)}
      end

      def filled(id, values)
        blank = stored(id, values).nil?
        {verdict: blank ? "refused" : "passed", stored: shown(stored(id, values)), result: nil, how: blank ? "it is blank" : "it is filled"}
      end
    end
  end
end
