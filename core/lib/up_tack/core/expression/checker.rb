# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Gives every node a type, or names what is wrong with it in a builder's
      # words. It goes on after a mistake, so that all of them are told at once;
      # a part with a mistake goes with anything.
      class Checker
        # Words of other languages, with the one that is meant here.
        FOREIGN_WORDS = {"null" => "blank", "nil" => "blank", "empty" => "blank", "true" => "yes", "false" => "no"}.freeze

        # problems:: what makes the formula unusable
        # warnings:: what is allowed but surely not meant
        attr_reader :problems, :warnings

        # @param scope [Scope]
        def initialize(scope)
          @scope = scope
          @problems = []
          @warnings = []
        end

        # @param expecting [Symbol, nil] the type wanted of the whole
        # @return [Symbol] the type of the whole
        def check(tree, expecting: nil)
          type = tree.accept(self)
          if expecting && problems.empty? && !Types.fit?(type, expecting)
            problem(tree, wrong_result(type, expecting))
          end
          type
        end

        def literal(node) = Types.of(node.value)

        def field(node)
          entry = @scope[node.key]
          return entry.type if entry

          near = FOREIGN_WORDS[node.key] || @scope.nearest(node.key)&.key
          mend = near ? "; did you mean `#{near}`?" : "."
          mend = "; a text stands in quotes, like \"#{node.key}\"." if !near && @scope.entries.empty?
          problem(node, "There is no field `#{node.key}`#{mend}")
        end

        def person(_node) = :text

        def is_new(_node) = :yes_no # rubocop:disable Naming/PredicatePrefix -- named after the word of the language

        def negation(node)
          type = node.operand.accept(self)
          return :number if Types.fit?(type, :number)

          problem(node, "Only a number can have a minus before it; this is #{Types.phrase(type)}.")
        end

        def arithmetic(node)
          left = node.left.accept(self)
          right = node.right.accept(self)
          return :broken if [left, right].include?(:broken)

          Arithmetics.result(node.sign, left, right) || problem(node, Arithmetics.mistake(node.sign, left, right))
        end

        def join(node)
          node.parts.each { |part| part.accept(self) }
          :text
        end

        def comparison(node)
          left = node.left.accept(self)
          right = node.right.accept(self)
          comparable(node, node.left, left, node.right, right)
          if !%w[= <>].include?(node.sign) && [left, right].include?(:yes_no)
            problem(node, "Yes and no have no order; compare them with `=` or `<>`.")
          end
          choice_warning(node.left, node.right)
          choice_warning(node.right, node.left)
          :yes_no
        end

        def logic(node)
          condition(node.left, "`#{node.word}`")
          condition(node.right, "`#{node.word}`")
          :yes_no
        end

        def inversion(node)
          condition(node.operand, "`not`")
          :yes_no
        end

        def within(node)
          value = node.value.accept(self)
          [node.low, node.high].each { |limit| comparable(node, node.value, value, limit, limit.accept(self)) }
          :yes_no
        end

        def membership(node)
          value = node.value.accept(self)
          node.options.each do |option|
            comparable(option, node.value, value, option, option.accept(self))
            choice_warning(node.value, option)
          end
          :yes_no
        end

        def blank_test(node)
          node.value.accept(self)
          :yes_no
        end

        def text_test(node)
          [node.text, node.part].each do |part|
            type = part.accept(self)
            problem(part, "`#{node.relation}` looks into texts; this is #{Types.phrase(type)}.") unless Types.fit?(type, :text)
          end
          :yes_no
        end

        def conditional(node)
          condition(node.condition, "`if`")
          first = node.consequence.accept(self)
          second = node.alternative.accept(self)
          return Types::OPEN.include?(first) ? second : first if Types.fit?(first, second)

          problem(node.alternative, "`then` gives #{Types.phrase(first)} and `else` gives #{Types.phrase(second)}; both must give the same type.")
        end

        def call(node)
          function = Functions[node.name]
          types = node.arguments.map { |argument| argument.accept(self) }
          return Arguments.new(self, node, function, types).result if function

          near = Spelling.nearest(node.name, Functions.all.keys)
          problem(node, "There is no function `#{node.name}`#{near ? "; did you mean `#{near}`?" : "."}")
        end

        # Keeps a problem with its place.
        # @return [Symbol] :broken, so that the surroundings are checked all the same
        def problem(node, message)
          problems << Problem.new(message: message, from: node.from, to: node.to)
          :broken
        end

        private

        def condition(node, word)
          type = node.accept(self)
          return if Types.fit?(type, :yes_no)

          problem(node, "#{word} needs a condition, something that is yes or no; this is #{Types.phrase(type)}.")
        end

        def comparable(place, left, left_type, right, right_type)
          return if Types.fit?(left_type, right_type)

          problem(place, Arithmetics.uncomparable(left, left_type, right, right_type))
        end

        def choice_warning(side, other)
          return unless side.is_a?(Nodes::Field) && other.is_a?(Nodes::Literal) && other.value.is_a?(String)

          choices = @scope[side.key]&.choices
          return if choices.nil? || choices.any? { |choice| Text.folded(choice) == Text.folded(other.value) }

          near = Spelling.nearest(other.value, choices)
          warnings << Problem.new(
            message: "#{@scope[side.key].label} has no choice “#{other.value}”#{near ? "; did you mean “#{near}”?" : "."}",
            from: other.from, to: other.to
          )
        end

        def wrong_result(type, expecting)
          mend = {
            [:date, :text] => " To make a text of it, join it: `\"\" & …`.",
            [:number, :text] => " To make a text of it, join it: `\"\" & …`.",
            [:text, :number] => " To read a number from a text, use `value(…)`.",
            [:text, :date] => " To read a date from a text, use `date(…)`.",
            [:moment, :date] => " To take the day of it, use `date(…)`."
          }[[type, expecting]]
          return "This must be something that is yes or no; it gives #{Types.phrase(type)}." if expecting == :yes_no

          "This must give #{Types.phrase(expecting)}; it gives #{Types.phrase(type)}.#{mend}"
        end
      end
    end
  end
end
