# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Gives every node a type, or names what is wrong with it in a builder's
      # words. It goes on after a mistake, so that all of them are told at once;
      # a part with a mistake goes with anything.
      class Checker
        include Lookup
        include CheckedNames

        # What a formula can be that depends on the moment of saving.
        MOMENTARY = {before: "`old.` and `changed(…)`", is_new: "`is_new`"}.freeze

        # problems:: what makes the formula unusable
        # objections:: what a design of an earlier version may have, and a new formula may not
        # warnings:: what is allowed but surely not meant
        # references:: every field and table named, as References
        # fleeting:: words for what changes with the hour or the person: `today()` …
        # momentary:: words for what only a save knows: `old.` …
        # counters:: how many digits each `counter(…)` has
        attr_reader :problems, :objections, :warnings, :references, :fleeting, :momentary, :counters

        # @param scope [Scope]
        # @param counting [Boolean] whether `counter(…)` may stand in the formula
        def initialize(scope, counting: false)
          @scope = scope
          @counting = counting
          @counters = []
          @steps = []
          @outer_steps = []
          @problems = []
          @objections = []
          @warnings = []
          @references = []
          @fleeting = []
          @momentary = []
        end

        # @param expecting [Symbol, nil] the type wanted of the whole
        # @return [Symbol] the type of the whole
        def check(tree, expecting: nil)
          type = tree.accept(self)
          if expecting && problems.empty? && !Values::Types.fit?(type, expecting)
            problem(tree, (type == :link) ? link_mistake(tree) : wrong_result(type, expecting))
          end
          type
        end

        def literal(node) = Values::Types.type_of(node.value)

        def aggregate(node) = AggregateCheck.new(self, node, @scope).type

        # Checks a part inside an aggregate, where bare keys are the linked
        # record's fields.
        # @param scope [Scope] of the linked table
        # @param steps [Array<Step>] that lead there
        def within(scope, steps)
          before = [@scope, @steps, @outer_steps]
          @scope = scope.within(@scope)
          @outer_steps = @steps
          @steps += steps
          yield
        ensure
          @scope, @steps, @outer_steps = before
        end

        # Keeps references found elsewhere, as seen from the record outside.
        def refer_all(found)
          references.concat(found.map { |each| Reference.new(**each.to_h, steps: @steps + each.steps) })
        end

        def fits(node)
          type = node.text.accept(self)
          unless Values::Types.fit?(
            type, :text
          )
            problem(node.text,
              Messages["expression.checker.fits_looks_at_text", type: Values::Types.phrase(type)])
          end
          Masks.read(node.mask.value)
          :yes_no
        rescue Masks::Invalid => e
          # The mask's own place lies behind the opening quote.
          from = node.mask.from + 1 + e.from
          problem(Place.new([from, node.mask.to - 1].min, [node.mask.from + 1 + e.to, node.mask.to].min), e.message)
        end

        def changed(node)
          node.field.accept(self)
          @momentary |= [MOMENTARY[:before]]
          :yes_no
        end

        def person(_node)
          @fleeting |= ["`user`"]
          :text
        end

        def is_new(_node) # rubocop:disable Naming/PredicatePrefix -- named after the word of the language
          @momentary |= [MOMENTARY[:is_new]]
          :yes_no
        end

        def negation(node)
          type = node.operand.accept(self)
          return :number if Values::Types.fit?(type, :number)

          problem(
            node,
            Messages["expression.checker.only_number_can_have_minus_before", type: Values::Types.phrase(type)]
          )
        end

        def arithmetic(node)
          left = node.left.accept(self)
          right = node.right.accept(self)
          return :broken if [left, right].include?(:broken)
          link = [[node.left, left], [node.right, right]].find { |_, type| type == :link }
          return problem(link.first, link_mistake(link.first)) if link

          ArithmeticTypes.result(node.sign, left, right) ||
            problem(node, ArithmeticTypes.mistake(node.sign, left, right))
        end

        def join(node)
          node.parts.each do |part|
            type = part.accept(self)
            problem(part, link_mistake(part)) if type == :link
          end
          :text
        end

        def comparison(node)
          left = node.left.accept(self)
          right = node.right.accept(self)
          comparable(node, node.left, left, node.right, right)
          if !%w[= <>].include?(node.sign) && [left, right].include?(:yes_no)
            problem(node, Messages["expression.checker.yes_and_no_have_no_order"])
          end
          choice_warning(node.left, node.right)
          choice_warning(node.right, node.left)
          BlankComparison.new(self).of_comparison(node)
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

        def range(node)
          value = node.value.accept(self)
          [node.low, node.high].each { |limit| comparable(node, node.value, value, limit, limit.accept(self)) }
          BlankComparison.new(self).of_ends(node)
          :yes_no
        end

        def membership(node)
          value = node.value.accept(self)
          node.options.each do |option|
            comparable(option, node.value, value, option, option.accept(self))
            choice_warning(node.value, option)
          end
          BlankComparison.new(self).of_options(node)
          :yes_no
        end

        def blank_test(node)
          node.value.accept(self)
          :yes_no
        end

        def text_test(node)
          [node.text, node.part].each do |part|
            type = part.accept(self)
            unless Values::Types.fit?(type, :text)
              problem(
                part,
                Messages[
                  "expression.checker.looks_into_texts",
                  relation: node.relation,
                  type: Values::Types.phrase(type)
                ]
              )
            end
          end
          BlankComparison.new(self).of_part(node)
          :yes_no
        end

        def conditional(node)
          condition(node.condition, "`if`")
          first = node.consequence.accept(self)
          second = node.alternative.accept(self)
          return Values::Types::OPEN.include?(first) ? second : first if Values::Types.fit?(first, second)

          problem(
            node.alternative,
            Messages[
              "expression.checker.then_gives_and_else_gives",
              first: Values::Types.phrase(first),
              second: Values::Types.phrase(second)
            ]
          )
        end

        def call(node)
          function = Functions[node.name]
          return counter(node) if node.name == "counter"

          @fleeting |= ["`#{node.name}()`"] if function&.fleeting
          types = node.arguments.map { |argument| argument.accept(self) }
          return Arguments.new(self, node, function, types).result if function

          return problem(node, aggregate_mistake(node)) if Parser::AGGREGATES.include?(node.name)

          near = Spelling.nearest(node.name, Functions.all.keys + Parser::AGGREGATES)
          key = near ? "expression.checker.no_function_but_one_alike" : "expression.checker.no_function"
          problem(node, Messages[key, function: node.name, near: near])
        end

        # Keeps a problem with its place.
        # @return [Symbol] :broken, so that the surroundings are checked all the same
        def problem(node, message)
          problems << Problem.new(message: message, from: node.from, to: node.to)
          :broken
        end

        private

        # A counter's digits are known when it is written, so that the board can warn in time.
        def counter(node)
          return problem(node, Messages["expression.checker.counter_counts_only_in_auto_number"]) unless @counting
          return problem(node, Messages["expression.checker.counter_counts_for_record_not_for_linked"]) if @scope.outer

          digits = node.arguments.first
          whole =
            digits.is_a?(Nodes::Literal) && digits.value.is_a?(BigDecimal) && digits.value.frac.zero? &&
            digits.value.between?(1, Numbers::KEPT_DIGITS)
          unless whole && node.arguments.one?
            return problem(node, Messages["expression.checker.counter_has_1_to_digits", most: Numbers::KEPT_DIGITS])
          end

          @counters << digits.value.to_i
          :text
        end

        def aggregate_mistake(node)
          Messages[
            "expression.checker.goes_over_linked_records",
            function: node.name,
            example: Aggregation[node.name].example
          ]
        end

        def same_target(place, left, right)
          one, other = target_of(left), target_of(right)
          return if one.nil? || other.nil? || one.key == other.key

          problem(
            place,
            Messages["expression.checker.link_to_cant_be_compared_with_link", one: one.label, table: other.label]
          )
        end

        def condition(node, word)
          type = node.accept(self)
          return if Values::Types.fit?(type, :yes_no)

          problem(
            node,
            Messages[
              "expression.checker.needs_condition_something_is_yes",
              word: word,
              type: Values::Types.phrase(type)
            ]
          )
        end

        def comparable(place, left, left_type, right, right_type)
          return same_target(place, left, right) if [left_type, right_type] == %i[link link]
          return if Values::Types.fit?(left_type, right_type)
          return problem(left, link_mistake(left)) if left_type == :link
          return problem(right, link_mistake(right)) if right_type == :link

          problem(place, ArithmeticTypes.uncomparable(left, left_type, right, right_type))
        end

        def choice_warning(side, other)
          return unless other.is_a?(Nodes::Literal) && other.value.is_a?(String)

          entry = entry_of(side) or return
          choices = entry.choices
          return if choices.nil? || choices.any? { |choice| Unicode.folded(choice) == Unicode.folded(other.value) }

          near = Spelling.nearest(other.value, choices)
          warnings << Problem.new(
            message: "#{entry.label} has no choice “#{other.value}”#{near ? "; did you mean “#{near}”?" : "."}",
            from: other.from, to: other.to
          )
        end

        def wrong_result(type, expecting)
          mend = {
            [:date, :text] => " To convert it to text, join it: `\"\" & …`.",
            [:number, :text] => " To convert it to text, join it: `\"\" & …`.",
            [:text, :number] => " To convert text to a number, use `value(…)`.",
            [:text, :time] => " To convert text to a time, use `time(…)`.",
            [:text, :date] => " To convert text to a date, use `date(…)`.",
            [:moment, :date] => " To take the day of it, use `date(…)`."
          }[[type, expecting]]
          gives = "it gives #{Values::Types.phrase(type)}"
          return Messages["expression.checker.must_be_something_is_yes", gives: gives] if expecting == :yes_no

          "This must give #{Values::Types.phrase(expecting)}; #{gives}.#{mend}"
        end
      end
    end
  end
end
