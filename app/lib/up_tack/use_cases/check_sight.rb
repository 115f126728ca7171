# frozen_string_literal: true

module UpTack
  module UseCases
    # What a validation says of records that exist.
    class CheckSight < Sight
      # @return [Hash] verdict: "refused", "passed" or "unjudged"
      def of(values)
        @formula ? judged(values) : filled(values)
      end

      private

      def judged(values)
        evaluation = evaluation(values, is_new: false)
        met = @formula.call(evaluation)
        verdict = {true => "passed", false => "refused"}.fetch(met, "unjudged")
        {verdict: verdict, stored: @field.show(values[@field.key]), result: nil, how: @formula.with_values(evaluation)}
      end

      def filled(values)
        blank = values[@field.key].nil?
        {verdict: blank ? "refused" : "passed", stored: @field.show(values[@field.key]), result: nil, how: blank ? "it is blank" : "it is filled"}
      end
    end
  end
end
