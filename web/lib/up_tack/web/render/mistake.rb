# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # A problem of a design or a formula.
      module Mistake
        module_function

        def of(problem)
          part = problem.respond_to?(:part) ? problem.part : "formula"
          place = problem.respond_to?(:place) ? problem.place : nil
          {part: part, message: problem.message, from: problem.from, to: problem.to, **(place ? {place: place} : {})}
        end
      end
    end
  end
end
