# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Turns a checked tree into nested lambdas that take an Evaluation and
      # give a value, nil for blank. Everything that can be decided without a
      # record (which field, which sign, which function) is decided here, once.
      class Compiler
        include Lookup
        include CompiledFields
        include CompiledCalls

        SUMS = {"+" => :added, "-" => :subtracted, "*" => :multiplied, "/" => :divided}.freeze
        # Signs in a row from which they are worked out in a loop rather than
        # within one another, which would take a thread's stack.
        LONG_CHAIN = 30

        # @return [String, nil]
        attr_reader :text

        # @param scope [Scope] tells how fields read as text, and where links lead
        # @param text [String, nil] the formula, by which a probe knows the places in it
        def initialize(scope, text: nil)
          @scope = scope
          @text = text
        end

        # @return [Proc]
        def compile(node) = node.accept(self)

        def literal(node)
          value = (node.value == "") ? nil : node.value
          ->(_) { value }
        end

        def aggregate(node) = AggregateCompiler.new(self, @scope, node).to_proc

        def fits(node)
          text = compile(node.text)
          mask = Masks.read(node.mask.value)
          lambda do |evaluation|
            value = text.call(evaluation)
            value && mask.fits?(value)
          end
        end

        def person(node)
          name = node.name.to_sym
          lambda do |evaluation|
            value = evaluation.context.person.public_send(name)
            value unless Unicode.blank?(value)
          end
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
          signs = chain(node)
          return long_chain(signs) if signs.length > LONG_CHAIN

          CompiledSums.public_send(SUMS.fetch(node.sign, :other), node.sign, compile(node.left), compile(node.right))
        end

        def join(node)
          parts = node.parts.map { |part| as_text(part) }
          ->(evaluation) { Unicode.filled(Unicode.bounded(parts.map { |part| part.call(evaluation) }.join)) }
        end

        def comparison(node)
          test = Comparator::TESTS.fetch(node.sign)
          return with_fixed_text(node, test) if fixed_text?(node.right) && node.right.value != ""

          place = place(node)
          both(node.left, node.right) do |left, right, evaluation|
            order = Comparator.order(left, right)
            evaluation.probe&.stand(place, order)
            test.call(order)
          end
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

        def range(node)
          value, low, high = node.children.map { |child| compile(child) }
          places = [place(node.low), place(node.high)]
          lambda do |evaluation|
            given = value.call(evaluation)
            limits = [low.call(evaluation), high.call(evaluation)]
            next if given.nil?

            evaluation.probe&.then do |probe|
              limits.zip(places) { |limit, place| limit.nil? || probe.stand(place, Comparator.order(given, limit)) }
            end
            next false if limits[0] && Comparator.order(given, limits[0]).negative?
            next false if limits[1] && Comparator.order(given, limits[1]).positive?

            limits.include?(nil) ? nil : true
          end
        end

        def membership(node)
          value = compile(node.value)
          options = node.options.map { |option| compile(option) }
          place = place(node)
          lambda do |evaluation|
            given = value.call(evaluation)
            next if given.nil?

            found = options.map { |option| option.call(evaluation) }
            index = found.index { |each| !each.nil? && Comparator.order(given, each).zero? }
            evaluation.probe&.branch(place, index ? "option #{index + 1}" : "none")
            next true if index

            found.include?(nil) ? nil : false
          end
        end

        def blank_test(node)
          value = compile(node.value)
          place = place(node)
          lambda do |evaluation|
            blank = Unicode.blank?(value.call(evaluation))
            evaluation.probe&.branch(place, blank ? "blank" : "filled")
            blank
          end
        end

        def text_test(node)
          relation = {"contains" => :include?, "starts with" => :start_with?, "ends with" => :end_with?}.fetch(
            node.relation
          )
          both(node.text, node.part) { |text, part| Unicode.folded(text).public_send(relation, Unicode.folded(part)) }
        end

        # A condition that comes to blank counts as not met.
        def conditional(node)
          condition, consequence, alternative = node.children.map { |child| compile(child) }
          place = place(node)
          lambda do |evaluation|
            met = condition.call(evaluation)
            evaluation.probe&.branch(place, met ? "then" : "else")
            met ? consequence.call(evaluation) : alternative.call(evaluation)
          end
        end

        # A field joins in its own reading format, all else in that of its type.
        # @return [Proc]
        def as_text(node)
          return fixed_text(node) if node.is_a?(Nodes::Literal)

          value = compile(node)
          entry = entry_of(node)
          show = (entry && entry != Scope::NUMBER) ? entry.show : ->(found) { Values.show(found, conventions) }
          lambda do |evaluation|
            found = value.call(evaluation)
            case found
            when String then found
            when ::Time then Values.show(evaluation.context.clock.local(found))
            else show.call(found)
            end
          end
        end

        private

        def conventions = @scope.conventions

        # @return [Array<Nodes::Arithmetic>] the node and those at its left end, the innermost first
        def chain(node)
          found = [node]
          found.unshift(node) while (node = node.left).is_a?(Nodes::Arithmetic)
          found
        end

        def long_chain(nodes)
          first = compile(nodes.first.left)
          steps = nodes.map { |node| [node.sign, compile(node.right)] }
          lambda do |evaluation|
            steps.reduce(first.call(evaluation)) do |left, (sign, operand)|
              right = operand.call(evaluation)
              (left.nil? || right.nil?) ? nil : ArithmeticTypes.work_out(sign, left, right, evaluation)
            end
          end
        end

        # A fixed text is brought into the form for comparing once.
        def with_fixed_text(node, test)
          side = compile(node.left)
          folded = Unicode.folded(node.right.value)
          place = place(node)
          lambda do |evaluation|
            value = side.call(evaluation) or next
            order = Unicode.folded(value) <=> folded
            evaluation.probe&.stand(place, order)
            test.call(order)
          end
        end

        # By what a probe knows a node; nil where there is no formula to be known by.
        def place(node) = @text && FormulaPlace.new(@text, node.from, node.to)

        # Blank when either side is; else what the block makes of both.
        def both(left, right, &work)
          return with_fixed(left, right.value, &work) if right.is_a?(Nodes::Literal) && !["", nil].include?(right.value)

          left = compile(left)
          right = compile(right)
          lambda do |evaluation|
            first = left.call(evaluation)
            second = right.call(evaluation)
            (first.nil? || second.nil?) ? nil : work.call(first, second, evaluation)
          end
        end

        def fixed_text(node)
          text = Values.show(node.value, conventions)
          ->(_) { text }
        end

        def with_fixed(left, second, &work)
          left = compile(left)
          lambda do |evaluation|
            first = left.call(evaluation)
            first.nil? ? nil : work.call(first, second, evaluation)
          end
        end
      end
    end
  end
end
