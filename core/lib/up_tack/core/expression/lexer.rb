# frozen_string_literal: true

require "strscan"

module UpTack
  module Core
    module Expression
      # Cuts a formula into tokens. Signs that people paste from elsewhere
      # (≤ ≥ ≠ − × ÷) are read as what they stand for.
      class Lexer
        SYMBOL = /<>|<=|>=|[-=<>&+*\/^(),.]/
        ALIASES = {"≤" => "<=", "≥" => ">=", "≠" => "<>", "−" => "-", "–" => "-", "×" => "*", "÷" => "/"}.freeze
        # Signs of other languages, with the one that is meant here.
        MENDS = {
          "==" => "to compare, use a single `=`",
          "!=" => "for “not equal” use `<>`",
          "&&" => "use the word `and`",
          "||" => "use the word `or`",
          "!" => "use the word `not`",
          ";" => "parts are separated by a comma",
          "%" => "for the remainder of a division use `mod`; divide a percentage by 100",
          "'" => "put text in double quotes, like \"this\"",
          "[" => "write only the field's key",
          "{" => "put lists in round brackets",
          ":" => "this character has no meaning here"
        }.freeze

        # @param text [String] at most LONGEST characters
        def initialize(text)
          unless text.valid_encoding?
            raise Invalid,
              [Problem.new(message: Messages["common.is_not_valid_text"], from: 0, to: 0)]
          end

          @text = text.encode(Encoding::UTF_8)
          @scanner = StringScanner.new(@text)
        end

        # @return [Array<Token>] ending with one of kind :end
        # @raise [Invalid] at the first sign that has no meaning
        def tokens
          if @text.length > LONGEST
            problem(
              Messages["expression.lexer.formula_has_at_most_4_000_characters", length: @text.length],
              LONGEST,
              @text.length
            )
          end
          found = []
          loop do
            @scanner.skip(/(?:[[:space:]]|--[^\n]*)+/)
            break if @scanner.eos?

            found << token
          end
          found << Token.new(kind: :end, value: nil, from: @text.length, to: @text.length)
        end

        private

        def token
          from = @scanner.charpos
          if @scanner.check(/["“”]/)
            text_literal(from)
          elsif (figures = @scanner.scan(/\d+(?:\.\d+)?|\.\d+/))
            number(figures, from)
          elsif (word = @scanner.scan(/[\p{L}_][\p{L}\p{M}\p{N}_]*/))
            made(:word, word.downcase, from)
          elsif (mended = MENDS.keys.find { |sign| @scanner.check(/#{Regexp.escape(sign)}/) })
            foreign(mended, from)
          elsif (symbol = @scanner.scan(SYMBOL))
            made(:symbol, symbol, from)
          elsif ALIASES.key?(@scanner.check(/./m).to_s)
            made(:symbol, ALIASES.fetch(@scanner.getch), from)
          else
            problem(Messages["expression.lexer.sign_has_no_meaning_here", sign: @scanner.getch], from, from + 1)
          end
        end

        def made(kind, value, from) = Token.new(kind: kind, value: value, from: from, to: @scanner.charpos)

        def text_literal(from)
          opening = @scanner.getch
          if opening != "\""
            problem(Messages["expression.lexer.these_are_curly_quotes"], from, from + 1)
          end
          content = @scanner.scan(/(?:[^"]|"")*/)
          unless @scanner.skip(/"/)
            problem(Messages["expression.lexer.text_is_not_closed"], from, @text.length)
          end
          made(:text, content.gsub('""', '"').unicode_normalize(:nfc), from)
        end

        def number(figures, from)
          if @scanner.check(/[\p{L}_]/)
            @scanner.scan(/[\p{L}\p{N}_]+/)
            problem(
              Messages["expression.lexer.name_cant_begin_with_figure"],
              from,
              @scanner.charpos
            )
          end
          value = BigDecimal(figures.start_with?(".") ? "0#{figures}" : figures)
          if value.n_significant_digits > Numbers::KEPT_DIGITS || value.exponent > Numbers::KEPT_DIGITS
            problem(Messages["expression.lexer.number_has_at_most_15_digits"], from, @scanner.charpos)
          end
          made(:number, value, from)
        end

        def foreign(sign, from)
          @scanner.pos += sign.bytesize
          problem(
            Messages["expression.lexer.is_not_used_here", sign: sign, mends: MENDS.fetch(sign)],
            from,
            @scanner.charpos
          )
        end

        def problem(message, from, to)
          raise Invalid, [Problem.new(message: message, from: from, to: to)]
        end
      end
    end
  end
end
