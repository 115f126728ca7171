# frozen_string_literal: true

module UpTack
  module Core
    # Raised for a design, or a change of one, that can't be used; carries all
    # its problems.
    class Invalid < StandardError
      # @return [Array<Core::Problem>]
      attr_reader :problems

      # @param problems [Array<Core::Problem>]
      def initialize(problems)
        @problems = problems
        super(problems.map(&:message).join(" "))
      end

      # Raises with a single problem.
      def self.because(message, part: nil) = raise(new([Problem.new(part: part, message: message)]))
    end
  end
end
