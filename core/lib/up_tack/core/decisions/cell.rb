# frozen_string_literal: true

module UpTack
  module Core
    module Decisions
      # A cell of an input: which values it lets pass.
      #
      #   (empty)               any value, blank too
      #   Glaze                 this value
      #   Glaze; Lustre         one of them
      #   > 1000   <> Raku      a comparison: = <> < <= > >=
      #   900..1100             from … to, both ends included
      #   900..<1100            the upper end left out
      #   blank                 no value
      #   "a; b"                a text as it stands
      class Cell
        # Signs that would be taken for something else in a plain text.
        SPECIAL = /[;"]|\.\.|\A\s*(<|>|=)|\A\s|\s\z/
        SIGNS = /\A(<>|<=|>=|<|>|=)\s*/
        MOST_PARTS = 200

        # A cell that can't be read; the message says why.
        class Invalid < StandardError; end

        # One thing that a cell lets pass.
        # kind:: :value, :compare, :range or :blank
        Part = Struct.new(:kind, :sign, :low, :high, :open, keyword_init: true)

        # @return [Array<Part>] none for any value
        attr_reader :parts

        # @param text [String]
        # @param input [Input]
        # @param reading [ParseContext]
        # @return [Cell]
        # @raise [Invalid]
        def self.read(text, input, reading)
          pieces = split(text.to_s)
          if pieces.length > MOST_PARTS
            raise Invalid,
              Messages["decisions.cell.cell_has_at_most_values", most: MOST_PARTS]
          end

          new(pieces.map { |piece| part(piece, input, reading) }, input)
        end

        # @return [Array<String>] what stands between semicolons that are not in quotes
        def self.split(text)
          return [] if text.strip.empty?

          pieces = text.scan(/(?:"(?:[^"]|"")*"|[^;"]|"(?=[^"]*\z))+/).map(&:strip)
          if pieces.any?(&:empty?) || text.strip.start_with?(";") || text.strip.end_with?(";") || text.match?(/;\s*;/)
            raise Invalid, Messages["decisions.cell.value_is_missing_beside_semicolon"]
          end

          pieces
        end

        def self.part(piece, input, reading)
          return Part.new(kind: :blank) if piece.casecmp?("blank")
          if piece.match?(/\A".*"\z/m)
            return Part.new(kind: :value, low: value(piece[1..-2].gsub('""', '"'), input, reading))
          end
          return compared(piece, input, reading) if piece.match?(SIGNS)
          return ranged(piece, input, reading) if piece.include?("..") && input.ordered?

          Part.new(kind: :value, low: value(piece, input, reading))
        end

        def self.compared(piece, input, reading)
          sign = piece[SIGNS, 1]
          value =
            value(
              piece.sub(SIGNS, "").then { |rest| rest.match?(/\A".*"\z/m) ? rest[1..-2].gsub('""', '"') : rest },
              input,
              reading
            )
          return Part.new(kind: :compare, sign: sign, low: value) if input.ordered? || %w[= <>].include?(sign)

          raise Invalid,
            Messages[
              "decisions.cell.compares_numbers_dates_and_times",
              sign: sign,
              input: input.label,
              kind: Values::Types.phrase(input.kind)
            ]
        end

        def self.ranged(piece, input, reading)
          low, high = piece.split("..", 2)
          open = high.lstrip.start_with?("<")
          low, high =
            [low, high.sub(/\A\s*</, "")].map do |text|
              if text.strip.empty?
                raise(Invalid, Messages["decisions.cell.range_has_value_at_either_end"])
              else
                value(text.strip, input, reading)
              end
            end
          order = Expression::Comparator.order(low, high)
          if order.positive? || (order.zero? && open)
            raise Invalid,
              Messages["decisions.cell.range_ends_before_it_begins"]
          end

          Part.new(kind: :range, low: low, high: high, open: open)
        end

        def self.value(text, input, reading)
          value = input.read(text, reading)
          raise Invalid, mended(value.message, text, input) if value.is_a?(Values::Unreadable)

          value
        end

        def self.mended(message, text, input)
          near = input.choices && Expression::Spelling.nearest(text.downcase, input.choices.map(&:downcase))
          near ? Messages[
            "decisions.cell.did_you_mean",
            problem: message.chomp("."),
            suggestion: input.choices.find { |choice| choice.downcase == near }
          ] : message
        end

        def initialize(parts, input)
          @parts = parts.freeze
          @input = input
          freeze
        end

        # @return [Boolean] whether every value passes
        def any? = parts.empty?

        # @param value [Object, nil]
        # @return [Boolean]
        def fits?(value) = parts.empty? || parts.any? { |part| part_fits?(part, value) }

        # @return [Array<Object>] the values that it names
        def constants = parts.flat_map { |part| [part.low, part.high].compact }

        # @yield [value] for each value that it names; gives the one in its place
        # @return [Cell]
        def with
          turned =
            parts.map do |part|
              part.low.nil? ? part : Part.new(**part.to_h, low: yield(part.low), high: part.high && yield(part.high))
            end
          Cell.new(turned.uniq, @input)
        end

        # @return [Boolean] whether it speaks of blank
        def blank? = parts.any? { |part| part.kind == :blank }

        # @return [String] as a design keeps it
        def to_s = parts.map { |part| text(part) }.join("; ")

        # @return [String] for people
        def words
          return "any" if any?

          Masks::Phrases.to_sentence(parts.map { |part| part_words(part) }, "or")
        end

        private

        def part_fits?(part, value)
          return value.nil? if part.kind == :blank
          return false if value.nil?

          case part.kind
          when :value
            Expression::Comparator.order(value, part.low).zero?
          when :compare
            Expression::Comparator::TESTS.fetch(part.sign).call(Expression::Comparator.order(value, part.low))
          else
            !Expression::Comparator.order(value, part.low).negative? &&
              Expression::Comparator
                .order(value, part.high)
                .then { |order| part.open ? order.negative? : !order.positive? }
          end
        end

        def text(part)
          case part.kind
          when :blank then "blank"
          when :value then @input.cell_text(part.low)
          when :compare then "#{part.sign} #{@input.cell_text(part.low)}"
          else "#{@input.cell_text(part.low)}..#{"<" if part.open}#{@input.cell_text(part.high)}"
          end
        end

        def part_words(part)
          case part.kind
          when :blank then Wording["blank"]
          when :value then @input.show(part.low)
          when :compare then "#{Expression::Humanizer::SIGNS.fetch(part.sign, part.sign)} #{@input.show(part.low)}"
          else range_words(@input.show(part.low), @input.show(part.high), part.open)
          end
        end

        def range_words(low, high, open)
          return Wording["%{low} to below %{high}", low: low, high: high] if open

          Wording["%{low} to %{high}", low: low, high: high]
        end
      end
    end
  end
end
