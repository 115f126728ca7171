# frozen_string_literal: true

module UpTack
  module UseCases
    # What a validation says of records that exist.
    class CheckSight < Sight
      # @return [String] "refused", "passed" or "unjudged"
      def verdict(id, values)
        return stored(id, values).nil? ? "refused" : "passed" unless @formula

        {true => "passed", false => "refused"}.fetch(@formula.call(evaluation(id, values, is_new: false)), "unjudged")
      end

      # @return [Hash] verdict:, stored:, result: and how:
      def of(id, values) = {verdict: verdict(id, values), stored: shown(stored(id, values)), result: nil, how: how(id, values)}

      private

      def how(id, values)
        return stored(id, values).nil? ? "it is blank" : "it is filled" unless @formula

        @formula.with_values(evaluation(id, values, is_new: false))
      end
    end
  end
end
