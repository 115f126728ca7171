# frozen_string_literal: true

module UpTack
  module Core
    module Conditions
      # Every combination of the values that are worth trying for the leaves of some conditions.
      class BoundaryValues
        # Combinations tried at most.
        MOST = 20_000

        # @param conditions [Conditions::ConditionModel]
        def initialize(conditions)
          @conditions = conditions
        end

        # @return [Hash{String=>Array<Object>}] values by the text of each leaf
        def values = @values ||= @conditions.domains.values

        # @return [Boolean] whether there are more combinations than are tried
        def stopped? = values.values.map(&:length).reduce(1, :*) > MOST

        # @return [Array<Hash{String=>Object}>]
        def all
          found = []
          each_assignment(values.to_a, {}) do |assignment|
            found << assignment
            return found if found.length >= MOST
          end
          found
        end

        private

        def each_assignment(left, assignment, &block)
          return block.call(assignment) if left.empty?

          (text, options), *rest = left
          options.each { |value| each_assignment(rest, assignment.merge(text => value), &block) }
        end
      end
    end
  end
end
