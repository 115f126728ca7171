# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # A problem of a design or a formula.
      module Mistake
        module_function

        # @param problem [Core::Problem, Core::Expression::Problem]
        def of(problem)
          told = problem.to_h
          {part: told.fetch(:part, "formula"), **told.slice(:message, :from, :to), **told.slice(:place).compact}
        end
      end
    end
  end
end
