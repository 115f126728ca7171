# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # The part of the compiler for functions.
      module CompiledCalls
        # Characters from which on a function of a text first asks whether there is time for it.
        LONG_TEXT = 1_000

        def call(node)
          function = Functions[node.name]
          work = work_of(function)
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

        # An empty text is blank, whatever made it.
        def work_of(function)
          work = written(function)
          return work unless function.returns == :text

          lambda do |evaluation, *values|
            text = work.call(evaluation, *values)
            text && Unicode.filled(text)
          end
        end

        # Some functions read or write numbers as the firm does.
        def written(function)
          work = (function.group == "Text") ? patient(function.to_proc) : function.to_proc
          return work unless function.by_conventions

          marks = conventions
          ->(evaluation, *values) { work.call(evaluation, *values, conventions: marks) }
        end

        # However many long texts a formula goes through, it is stopped where its question takes too long.
        def patient(work)
          lambda do |evaluation, *values, **more|
            if values.any? { |value| value.is_a?(String) && value.length > LONG_TEXT }
              evaluation.context&.patience&.call
            end
            work.call(evaluation, *values, **more)
          end
        end

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
