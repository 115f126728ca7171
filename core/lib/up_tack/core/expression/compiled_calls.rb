# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # The part of the compiler for functions.
      module CompiledCalls
        def call(node)
          function = Functions[node.name]
          work = function.to_proc
          arguments = node.arguments.map { |argument| compile(argument) }
          return with_blanks(work, arguments) if function.blanks
          return with_one(work, arguments.first) if arguments.one?
          return with_two(work, *arguments) if arguments.length == 2

          lambda do |evaluation|
            values = arguments.map { |argument| argument.call(evaluation) }
            values.any?(&:nil?) ? nil : work.call(evaluation, *values)
          end
        end

        private

        def with_blanks(work, arguments)
          ->(evaluation) { work.call(evaluation, *arguments.map { |argument| argument.call(evaluation) }) }
        end

        def with_one(work, argument)
          lambda do |evaluation|
            value = argument.call(evaluation)
            value.nil? ? nil : work.call(evaluation, value)
          end
        end

        def fixed_text?(node) = node.is_a?(Nodes::Literal) && node.value.is_a?(String)

        def with_two(work, one, other)
          lambda do |evaluation|
            first = one.call(evaluation)
            second = other.call(evaluation)
            (first.nil? || second.nil?) ? nil : work.call(evaluation, first, second)
          end
        end
      end
    end
  end
end
