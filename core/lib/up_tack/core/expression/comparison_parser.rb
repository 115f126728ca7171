# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # The level of the parser on which two values are compared, in signs or in
      # words: `a = b`, `a between b and c`, `a is not blank`, `a contains b`.
      class ComparisonParser
        # @param parser [Parser] standing after the left value
        def initialize(parser)
          @parser = parser
        end

        # @param left [Nodes::Node]
        # @return [Nodes::Node] the comparison, or left when none follows
        def after(left)
          token = @parser.peek
          return signed(left) if token.symbol?(*Parser::COMPARISONS)
          return left unless token.kind == :word

          case token.value
          when "is" then blank_test(left)
          when "not" then inverted(left)
          else in_words(left) || left
          end
        end

        private

        def operand = @parser.joined

        def signed(left)
          sign = @parser.advance.value
          right = operand
          Nodes::Comparison.new(sign: sign, left: left, right: right, from: left.from, to: right.to)
        end

        def in_words(left)
          case @parser.peek.value
          when "between" then within(left)
          when "in" then membership(left)
          when "contains" then text_test(left, "contains", 1)
          when "fits" then fits(left)
          when "starts", "ends" then text_test(left, "#{@parser.peek.value} with", 2)
          end
        end

        # `a not in (…)`, `a not between …`: the test, turned round.
        def inverted(left)
          return left unless %w[between in contains starts ends fits].include?(@parser.peek(1).value)

          @parser.advance
          test = in_words(left)
          Nodes::Inversion.new(operand: test, from: test.from, to: test.to)
        end

        def blank_test(left)
          @parser.advance
          inverted = @parser.accept_word("not")
          last =
            @parser.expect_word(
              "blank",
              Messages["expression.comparison_parser.after_is_blank_or_not_blank"]
            )
          test = Nodes::BlankTest.new(value: left, from: left.from, to: last.to)
          inverted ? Nodes::Inversion.new(operand: test, from: left.from, to: last.to) : test
        end

        def within(left)
          @parser.advance
          low = operand
          @parser.expect_word("and", Messages["expression.comparison_parser.between_needs_two_ends_as_in_between"])
          high = operand
          Nodes::Range.new(value: left, low: low, high: high, from: left.from, to: high.to)
        end

        def membership(left)
          @parser.advance
          opening =
            @parser.expect_symbol(
              "(",
              Messages["expression.comparison_parser.after_in_list_in_brackets_is_expected"]
            )
          options = [@parser.expression]
          options << @parser.expression while @parser.accept_symbol(",")
          closing = @parser.expect_symbol(")", Messages["expression.comparison_parser.list_is_not_closed"], opening)
          Nodes::Membership.new(value: left, options: options, from: left.from, to: closing.to)
        end

        def fits(left)
          @parser.advance
          token = @parser.peek
          unless token.kind == :text
            @parser.problem(
              Messages["expression.comparison_parser.after_fits_mask_in_quotes_is_expected"],
              token
            )
          end
          @parser.advance
          mask = Nodes::Literal.new(value: token.value, from: token.from, to: token.to)
          Nodes::Fits.new(text: left, mask: mask, from: left.from, to: mask.to)
        end

        def text_test(left, relation, words)
          @parser.advance
          if words == 2
            @parser.expect_word(
              "with",
              Messages["expression.comparison_parser.after_word_with_is_expected", relation: relation.split.first]
            )
          end
          part = operand
          Nodes::TextTest.new(relation: relation, text: left, part: part, from: left.from, to: part.to)
        end
      end
    end
  end
end
