# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # The part of the parser for aggregates: a dotted name in brackets after
      # `count`, `sum` and the like, with an optional `where`. Several values in
      # the brackets, as in `max(a, b)`, are a call like any other.
      class Aggregates
        # @param parser [Parser] standing on the opening bracket
        def initialize(parser)
          @parser = parser
        end

        # @param token [Token] the name before the bracket
        # @return [Nodes::Aggregate, nil] nil when it is none
        def after(token)
          return unless Parser::AGGREGATES.include?(token.value) && source_ahead?(token.value == "join")

          opening = @parser.advance
          source = segments
          separator = nil
          condition = where
          separator = @parser.expression if token.value == "join" && @parser.accept_symbol(",")
          condition ||= where
          closing = @parser.expect_symbol(")", Messages["expression.all.bracket_is_not_closed"], opening)
          Nodes::Aggregate.new(
            name: token.value,
            source: source,
            condition: condition,
            separator: separator,
            from: token.from,
            to: closing.to
          )
        end

        private

        def source_ahead?(may_go_on)
          at = 1
          loop do
            return false unless @parser.peek(at).kind == :word && !Parser::RESERVED.include?(@parser.peek(at).value)

            at += 1
            break unless @parser.peek(at).symbol?(".")

            at += 1
          end
          follower = @parser.peek(at)
          follower.word?("where") || follower.symbol?(")") || follower.end? || (may_go_on && follower.symbol?(","))
        end

        def segments
          found = []
          loop do
            token = @parser.advance
            found << Nodes::Segment.new(key: token.value, from: token.from, to: token.to)
            return found unless @parser.accept_symbol(".")
          end
        end

        def where = @parser.accept_word("where") && @parser.expression
      end
    end
  end
end
