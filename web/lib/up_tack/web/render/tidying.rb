# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # Clean-up steps, and what they make of a text.
      module Tidying
        LONGEST = 4_000

        module_function

        # @return [Array<Hash>] the steps that there are
        def steps
          Core::Tidying::Steps.all.values.map do |step|
            {
              key: step.key,
              label: step.label,
              example: step.example,
              settings: step.settings.map { |name, shape| {name: name, shape: shape.to_s} }
            }
          end
        end

        # @param steps [Object] should be a list of steps
        # @param text [Object] should be a text to try them on; each step's own example without it
        # @return [Hash]
        def render(steps, text)
          shape = Core::Rules::Part.new(key: "steps", type: :steps).problem(steps)
          message = shape ? shape.message : Core::Tidying.problem(steps.to_a)
          return {problem: message, words: nil, before: nil, after: nil} if message

          before = (text.is_a?(String) && !text.empty?) ? text.scrub[0, LONGEST] : example(steps)
          {
            problem: nil,
            words: Core::Tidying.words(steps),
            before: before,
            after: Core::Tidying.run(before, steps).to_s
          }
        end

        def example(steps) = Core::Tidying::Steps.all.fetch(steps.first["do"]).example
      end
    end
  end
end
