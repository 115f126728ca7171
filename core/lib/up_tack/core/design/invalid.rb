# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # Raised for a design, or a change of one, that can't be used; carries all
      # its problems.
      class Invalid < StandardError
        # @return [Array<Problem>]
        attr_reader :problems

        # @param problems [Array<Problem>]
        def initialize(problems)
          @problems = problems
          super(problems.map(&:message).join(" "))
        end

        # Raises with a single problem.
        def self.because(message, part: nil) = raise(new([Problem.new(part: part, message: message)]))
      end
    end
  end
end
