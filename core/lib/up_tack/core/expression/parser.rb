# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Turns tokens into a tree, by recursive descent, one method a level of
      # binding, loosest first. Signs of one level bind from the left, `^` too
      # (as in OpenFormula: `2 ^ 3 ^ 2` is 64).
      class Parser
        include Cursor

        COMPARISONS = %w[= <> < <= > >=].freeze
        RESERVED = %w[
          and
          or
          not
          if
          then
          else
          between
          in
          contains
          starts
          ends
          is
          blank
          yes
          no
          fits
          where
          old
          user
          this
          is_new
          with
        ].freeze
        AGGREGATES = %w[count sum average min max join].freeze
        PERSON_PARTS = Scope::PERSON.keys.freeze

        # @param text [String]
        def initialize(text)
          @tokens = Lexer.new(text).tokens
          @at = 0
          @depth = 0
        end

        # @return [Nodes::Node]
        # @raise [Invalid]
        def tree
          problem(Messages["expression.parser.formula_is_empty"], peek) if peek.end?
          node = expression
          problem(leftover(peek), peek) unless peek.end?
          node
        end

        # A whole expression from here on; used by Comparisons for list items.
        # @return [Nodes::Node]
        def expression = deeper { disjunction }

        # Values joined with `&`, the operands of a comparison.
        # @return [Nodes::Node]
        def joined
          parts = [sum]
          parts << sum while accept_symbol("&")
          return parts.first if parts.one?

          Nodes::Join.new(parts: parts, from: parts.first.from, to: parts.last.to)
        end

        private

        def disjunction = logic("or") { conjunction }

        def conjunction = logic("and") { inversion }

        def logic(word)
          left = yield
          while accept_word(word)
            right = yield
            left = Nodes::Logic.new(word: word, left: left, right: right, from: left.from, to: right.to)
          end
          left
        end

        def inversion
          start = peek
          return comparison unless accept_word("not")

          operand = deeper { inversion }
          Nodes::Inversion.new(operand: operand, from: start.from, to: operand.to)
        end

        def comparison
          left = joined
          node = ComparisonParser.new(self).after(left)
          if node != left && (COMPARISONS.include?(peek.value) || peek.word?("between", "in", "contains"))
            problem(Messages["expression.parser.only_two_values_can_be_compared"], peek)
          end
          node
        end

        def sum = arithmetic(%w[+ -]) { product }

        def product = arithmetic(%w[* /], "mod") { negation }

        def arithmetic(signs, word = nil)
          left = yield
          while peek.symbol?(*signs) || (word && peek.word?(word))
            sign = advance.value
            right = yield
            left = Nodes::Arithmetic.new(sign: sign, left: left, right: right, from: left.from, to: right.to)
          end
          left
        end

        def negation
          start = peek
          return negation_operand(start) if accept_symbol("-")
          return deeper { negation } if accept_symbol("+")

          power
        end

        def negation_operand(start)
          operand = deeper { negation }
          Nodes::Negation.new(operand: operand, from: start.from, to: operand.to)
        end

        def power
          left = primary
          while accept_symbol("^")
            right = exponent
            left = Nodes::Arithmetic.new(sign: "^", left: left, right: right, from: left.from, to: right.to)
          end
          left
        end

        # A sign before an exponent belongs to it alone: `2 ^ -1 ^ 2` is `(2 ^ -1) ^ 2`.
        def exponent
          start = peek
          return deeper { exponent } if accept_symbol("+")
          return primary unless accept_symbol("-")

          operand = deeper { exponent }
          Nodes::Negation.new(operand: operand, from: start.from, to: operand.to)
        end

        def primary
          token = peek
          case token.kind
          when :number, :text then literal(advance)
          when :symbol then bracketed(token)
          when :word then named(token)
          else problem(Messages["expression.parser.something_is_missing_at_end"], token)
          end
        end

        def literal(token)
          Nodes::Literal.new(value: token.value, from: token.from, to: token.to)
        end

        def bracketed(token)
          unless accept_symbol("(")
            problem(Messages["expression.parser.field_value_or_function_is_expected_here", sign: token.value], token)
          end
          inner = expression
          if peek.symbol?(",")
            problem(Messages["expression.parser.list_can_stand_only_after"], peek)
          end
          expect_symbol(")", Messages["expression.all.bracket_is_not_closed"], token)
          inner
        end

        def named(token)
          case token.value
          when "yes", "no", "blank"
            Nodes::Literal.new(value: {"yes" => true, "no" => false}[advance.value], from: token.from, to: token.to)
          when "is_new"
            Nodes::IsNew.new(word: advance.value, from: token.from, to: token.to)
          when "if"
            conditional
          when "old"
            old_field
          when "this"
            outside_field
          when "user"
            person
          else
            call_or_field(token)
          end
        end

        def conditional
          start = advance
          condition = expression
          expect_word("then", Messages["expression.parser.after_condition_of_if_word_then"])
          consequence = expression
          expect_word("else", Messages["expression.parser.if_needs_else_says_what_comes_out"])
          alternative = expression
          Nodes::Conditional.new(
            condition: condition,
            consequence: consequence,
            alternative: alternative,
            from: start.from,
            to: alternative.to
          )
        end

        def old_field
          start = advance
          expect_symbol(".", Messages["expression.parser.after_old_dot_and_field_are_expected"])
          token = expect_name(Messages["expression.parser.after_old"])
          along(Nodes::Field.new(key: token.value, before: true, from: start.from, to: token.to))
        end

        def outside_field
          start = advance
          expect_symbol(
            ".",
            Messages["expression.parser.after_dot_and_field_of_record_outside"]
          )
          token = expect_name(Messages["expression.parser.after_this"])
          along(Nodes::Field.new(key: token.value, outside: true, from: start.from, to: token.to))
        end

        # The dots after a field: along links to other records.
        def along(node)
          while (dot = accept_symbol("."))
            token = (peek.kind == :word) ? advance : problem(Messages[
              "expression.parser.after_dot_key_of_field_is_expected"
            ], dot)
            node = Nodes::Path.new(owner: node, key: token.value, from: node.from, to: token.to)
          end
          node
        end

        def person
          start = advance
          expect_symbol(".", Messages["expression.parser.pick_what_is_meant_of_person"])
          token = expect_name(Messages["expression.parser.after_user"])
          unless PERSON_PARTS.include?(token.value)
            problem(Messages["expression.parser.there_is_no_user", sign: token.value], token)
          end
          Nodes::Person.new(name: token.value, from: start.from, to: token.to)
        end

        def call_or_field(token)
          if RESERVED.include?(token.value)
            problem(Messages["expression.parser.value_is_expected", sign: token.value], token)
          end
          advance
          if peek.symbol?("(")
            return Aggregates.new(self).after(token) || ((token.value == "changed") ? changed(token) : call(token))
          end

          along(Nodes::Field.new(key: token.value, from: token.from, to: token.to))
        end

        def changed(token)
          opening = advance
          field = changed_field
          closing = expect_symbol(")", Messages["expression.all.bracket_is_not_closed"], opening)
          Nodes::Changed.new(field: field, from: token.from, to: closing.to)
        end

        def changed_field
          name = expect_name(Messages["expression.parser.changed_takes_one_field_of_record"])
          unless peek.symbol?(")") && !RESERVED.include?(name.value)
            problem(Messages["expression.parser.changed_takes_one_field_of_record"], peek.end? ? name : peek)
          end
          Nodes::Field.new(key: name.value, from: name.from, to: name.to)
        end

        def call(token)
          opening = advance
          arguments = []
          until peek.symbol?(")")
            if arguments.any?
              expect_symbol(
                ",",
                Messages["expression.parser.comma_is_expected_between_parts_given", sign: token.value],
                opening
              )
            end
            arguments << expression
          end
          closing = advance
          Nodes::Call.new(name: token.value, arguments: arguments, from: token.from, to: closing.to)
        end

        def deeper
          @depth += 1
          problem(Messages["expression.parser.is_nested_more_than_deep", most: DEEPEST], peek) if @depth > DEEPEST
          yield
        ensure
          @depth -= 1
        end

        def leftover(token)
          return Messages["expression.parser.closes_nothing"] if token.symbol?(")")
          return Messages["expression.parser.cant_stand_here", sign: token.value] if token.kind == :symbol

          Messages["expression.parser.something_is_missing_before"]
        end
      end
    end
  end
end
