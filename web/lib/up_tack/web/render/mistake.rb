# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # A problem of a design or a formula.
      module Mistake
        module_function

        # @param problem [Core::Problem, Core::Expression::Problem]
        def render(problem)
          parts = problem.to_h
          {part: parts.fetch(:part, "formula"), **parts.slice(:message, :from, :to), **parts.slice(:place).compact}
        end
      end
    end
  end
end
