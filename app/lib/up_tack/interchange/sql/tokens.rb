# frozen_string_literal: true

require "strscan"

module UpTack
  module Interchange
    module Sql
      # A statement as its words, names, texts, numbers and signs, which are read one after the other.
      class Tokens
        # kind:: :word (in capitals), :name, :text, :number or :sign; text:: what it says; at:: where it begins
        Token = Struct.new(:kind, :text, :at)
        SIGN = /<>|<=|>=|!=|\|\||::|[-+*\/%(),.=<>;\[\]~!@&|^?:]/

        # @param text [String]
        # @param escapes [Boolean] whether a backslash in a text is one
        def initialize(text, escapes: false)
          @text = text
          @escapes = escapes
          @tokens = []
          read(StringScanner.new(text))
          @at = 0
        end

        # @return [Token, nil]
        def peek(ahead = 0) = @tokens[@at + ahead]

        # @return [Token, nil] which is passed
        def take = peek.tap { @at += 1 }

        def done? = peek.nil?

        # @param words [Array<String>] in capitals
        # @return [Boolean] whether these follow, which are passed then
        def pass?(*words)
          return false unless words.each_with_index.all? { |word, index| is?(word, index) }

          @at += words.length
          true
        end

        # @return [Boolean] whether a word, or a sign, follows
        def is?(word, ahead = 0)
          token = peek(ahead)
          !token.nil? && %i[word sign].include?(token.kind) && token.text == word
        end

        # @return [String, nil] a name, without that of its schema
        def name
          found = nil
          while (token = peek) && %i[word name].include?(token.kind)
            @at += 1
            found = (token.kind == :name) ? token.text : @text[token.at, token.text.length]
            return found unless pass?(".")
          end
          found
        end

        # @return [Array<String, nil>] names in brackets, whatever stands behind each; nil for what is none
        def names
          return [] unless pass?("(")

          found = []
          until done?
            found << (is?("(", 1) ? nil : name)
            skip_to(",", ")")
            break unless pass?(",")
          end
          pass?(")")
          found
        end

        # @return [Array<String>] all texts that follow
        def texts = @tokens.drop(@at).select { |token| token.kind == :text }.map(&:text)

        # @return [String] what stands in brackets, as it was written
        def bracketed
          return "" unless is?("(")

          from = peek.at + 1
          skip_bracket
          @text[from...(peek(-1)&.at || @text.length)].to_s.strip
        end

        # Passes everything up to one of these signs that is in no brackets, or the end.
        def skip_to(*signs)
          until done?
            return if peek.kind == :sign && signs.include?(peek.text)

            is?("(") ? skip_bracket : take
          end
        end

        private

        def skip_bracket
          depth = 0
          while (token = take)
            depth += 1 if token.kind == :sign && token.text == "("
            depth -= 1 if token.kind == :sign && token.text == ")"
            return if depth.zero?
          end
        end

        def read(scan)
          until scan.eos?
            next if scan.skip(/\s+|--[^\n]*|\/\*.*?(?:\*\/|\z)/m)

            at = scan.charpos
            kind, text = token(scan)
            @tokens << Token.new(kind, text, at) if kind
          end
        end

        def token(scan)
          if scan.skip(/(?:[EeNn]|_\w+\s*)?(?=')/) then [:text, text(scan, scan.matched)]
          elsif (name = scan.scan(/"(?:[^"]|"")*"|`(?:[^`]|``)*`|\[[^\]]*\]/)) then [:name, unquoted(name)]
          elsif (number = scan.scan(/(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?/)) then [:number, number]
          elsif (word = scan.scan(/[\p{L}_][\p{L}\p{N}_$]*/)) then [:word, word.upcase]
          elsif (sign = scan.scan(SIGN)) then [:sign, sign]
          else scan.getch.then { nil }
          end
        end

        def unquoted(name)
          quote = name[0]
          inner = name[1..-2]
          (quote == "[") ? inner : inner.gsub(quote * 2, quote)
        end

        def text(scan, prefix)
          escapes = @escapes || prefix.casecmp?("e")
          found = scan.scan(escapes ? /'(?:[^'\\]|\\.|'')*'/m : /'(?:[^']|'')*'/) || scan.scan(/'.*/m)
          Literals.text(found, escapes)
        end
      end
    end
  end
end
