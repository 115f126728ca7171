# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Turns a checked tree into nested lambdas that take an Evaluation and
      # give a value, nil for blank. Everything that can be settled without a
      # record (which field, which sign, which function) is settled here, once.
      class Compiler
        # @param scope [Scope] tells how fields read as text
        def initialize(scope)
          @scope = scope
        end

        # @return [Proc]
        def compile(node) = node.accept(self)

        def literal(node)
          value = node.value
          ->(_) { value }
        end

        def field(node)
          key = node.key
          node.before ? ->(evaluation) { evaluation.old[key] } : ->(evaluation) { evaluation.values[key] }
        end

        def person(node)
          name = node.name.to_sym
          ->(evaluation) { evaluation.context.person.public_send(name) }
        end

        def is_new(_node) # rubocop:disable Naming/PredicatePrefix -- named after the word of the language
          ->(evaluation) { evaluation.new? }
        end

        def negation(node)
          operand = compile(node.operand)
          lambda do |evaluation|
            value = operand.call(evaluation)
            value && -value
          end
        end

        def arithmetic(node)
          sign = node.sign
          both(node.left, node.right) { |left, right, evaluation| Arithmetics.work_out(sign, left, right, evaluation) }
        end

        def join(node)
          parts = node.parts.map { |part| as_text(part) }
          ->(evaluation) { Text.bounded(parts.map { |part| part.call(evaluation) }.join) }
        end

        def comparison(node)
          test = Comparing::TESTS.fetch(node.sign)
          both(node.left, node.right) { |left, right| test.call(Comparing.order(left, right)) }
        end

        # SQL's three values: no wins over blank in `and`, yes in `or`.
        def logic(node)
          left = compile(node.left)
          right = compile(node.right)
          decisive = node.word == "or"
          lambda do |evaluation|
            first = left.call(evaluation)
            next decisive if first == decisive

            second = right.call(evaluation)
            next decisive if second == decisive

            (first.nil? || second.nil?) ? nil : !decisive
          end
        end

        def inversion(node)
          operand = compile(node.operand)
          lambda do |evaluation|
            value = operand.call(evaluation)
            value.nil? ? nil : !value
          end
        end

        def within(node)
          value, low, high = node.children.map { |child| compile(child) }
          lambda do |evaluation|
            given = value.call(evaluation)
            limits = [low.call(evaluation), high.call(evaluation)]
            next if given.nil?
            next false if limits[0] && Comparing.order(given, limits[0]).negative?
            next false if limits[1] && Comparing.order(given, limits[1]).positive?

            limits.include?(nil) ? nil : true
          end
        end

        def membership(node)
          value = compile(node.value)
          options = node.options.map { |option| compile(option) }
          lambda do |evaluation|
            given = value.call(evaluation)
            next if given.nil?

            found = options.map { |option| option.call(evaluation) }
            next true if found.any? { |each| !each.nil? && Comparing.order(given, each).zero? }

            found.include?(nil) ? nil : false
          end
        end

        def blank_test(node)
          value = compile(node.value)
          ->(evaluation) { value.call(evaluation).nil? }
        end

        def text_test(node)
          relation = {"contains" => :include?, "starts with" => :start_with?, "ends with" => :end_with?}.fetch(node.relation)
          both(node.text, node.part) { |text, part| Text.folded(text).public_send(relation, Text.folded(part)) }
        end

        # A condition that comes to blank counts as not met.
        def conditional(node)
          condition, consequence, alternative = node.children.map { |child| compile(child) }
          ->(evaluation) { condition.call(evaluation) ? consequence.call(evaluation) : alternative.call(evaluation) }
        end

        def call(node)
          function = Functions[node.name]
          work = function.to_proc
          arguments = node.arguments.map { |argument| compile(argument) }
          blanks = function.blanks
          lambda do |evaluation|
            values = arguments.map { |argument| argument.call(evaluation) }
            next if !blanks && values.include?(nil)

            work.call(evaluation, *values)
          end
        end

        private

        # Blank when either side is; else what the block makes of both.
        def both(left, right)
          left = compile(left)
          right = compile(right)
          lambda do |evaluation|
            first = left.call(evaluation)
            second = right.call(evaluation)
            (first.nil? || second.nil?) ? nil : yield(first, second, evaluation)
          end
        end

        # A field joins in its own reading format, all else in that of its type.
        def as_text(node)
          value = compile(node)
          entry = @scope[node.key] if node.is_a?(Nodes::Field)
          show = entry ? entry.show : Values.method(:show)
          ->(evaluation) { show.call(value.call(evaluation)) }
        end
      end
    end
  end
end
