# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Moving over tokens. Used by the parser, which owns @tokens and @at, and
      # lent to its helpers through the public methods here.
      module Cursor
        # @return [Token] the next token, not yet taken
        def peek(ahead = 0) = @tokens[[@at + ahead, @tokens.length - 1].min]

        # @return [Token] the next token, taken
        def advance
          token = peek
          @at += 1 unless token.end?
          token
        end

        def accept_word(*words) = peek.word?(*words) ? advance : nil

        def accept_symbol(*symbols) = peek.symbol?(*symbols) ? advance : nil

        def expect_word(word, message) = accept_word(word) || problem(message, peek)

        # @param opening [Token, nil] what was opened and is shown as the place
        #   when the text ends before it is closed
        def expect_symbol(symbol, message, opening = nil)
          accept_symbol(symbol) || problem(message, (opening && peek.end?) ? opening : peek)
        end

        def expect_name(message) = (peek.kind == :word) ? advance : problem(message, peek)

        # @raise [Invalid]
        def problem(message, place)
          raise Invalid, [Problem.new(message: message, from: place.from, to: place.to)]
        end
      end
    end
  end
end
