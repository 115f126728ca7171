# frozen_string_literal: true

module UpTack
  module Interchange
    # Reads what is written in a cell as a value, in the ways in which people and programs write it. What a column
    # seems to be and what its cells come in as are told by the same readings, so that nothing is proposed that is
    # refused afterwards. What clerks may type is read by the values themselves; this knows besides
    #
    #   (3)   $1,234.50   5 %   5 kg   1'234   1e5        20261123
    #   2026-11-23 09:30:00+01:00                         ja   nein   t   f
    class CellText
      ORDERS = %w[dmy mdy ymd].freeze
      MARKS = %w[. ,].freeze
      NOTHING = ["na", "n/a", "null", "nil", "none", "-", "–", "—"].freeze
      # Figures and crosses are answers only where a field already says so.
      ANSWERS =
        Core::Values::YesNo::WORDS
          .except("1", "0", "x")
          .merge(%w[t ja oui si sí].to_h { |word| [word, true] }, %w[f nein non].to_h { |word| [word, false] })
          .freeze
      LONGEST = 60
      BEFORE = /\A(?<sign>[-+−]?)\s*(?<unit>\p{Sc}|[A-Z]{3}(?=\s))\s*(?=[\d.,])/
      AFTER = /(?<=\d)(?<unit>\s*(?:\p{Sc}|%|‰|°[CF]?)|\s+(?:\p{L}{1,3}[²³]?|[A-Z]{3}))\z/
      EXPONENT = /\A[-+]?(?:\d+(?:[.,]\d+)?|[.,]\d+)e[-+]?\d{1,2}\z/i
      APOSTROPHES = /\A[-+]?\d{1,3}(?:['’]\d{3})+(?:[.,]\d+)?\z/
      COMPACT = /\A(?:19|20)\d\d(?:0[1-9]|1[0-2])(?:0[1-9]|[12]\d|3[01])\z/
      ZONED = /\A(\d{4}-\d\d-\d\d)[ T](\d\d:\d\d(?::\d\d(?:\.\d+)?)?)\s?(Z|[-+]\d\d(?::?\d\d)?)\z/
      FIGURES = %r{\A(\d{1,4})([-./ ])(\d{1,2})\2(\d{1,4})(?=\z|[T ,])}
      # How numbers and days begin: nothing else need be looked at closely.
      NUMBERLIKE = /\A\(?[-+−]?\s*(?:\p{Sc}|[A-Z]{3}\s)?\s*[.,]?\d/
      DAYLIKE = %r{
        \A(?:\p{L}{3,9}\.?,?\s+)?(?:\d{1,4}[-./\ ]\d|\d{1,2}(?:\p{L}{2})?\.?[\ -]*\p{L}{3}|\p{L}{3,9}\.?[\ -]*\d)
      }x
      # Numbers that every reading takes alike.
      WHOLE = /\A-?(?:0|[1-9]\d{0,14})\z/
      # Those in which the mark tells itself: other than three figures stand behind it.
      DECIMAL = /\A-?\d{1,10}([.,])(?:\d{1,2}|\d{4,5})\z/
      CLOCK = /\A\d{1,2}:\d\d(?::\d\d)?\s*(?:[ap]m?)?\z/i

      # @param conventions [Core::Conventions] the firm's
      def initialize(conventions)
        @conventions = conventions
        @readings = {}
        @blank = %w[date moment time].to_h do |type|
          [type, Core::Design::Field.from({"id" => "f0", "key" => "cell", "label" => "Cell", "type" => type},
            conventions: conventions)]
        end
      end

      # @return [Boolean] whether a text is a way to write that there is nothing
      def self.nothing?(text) = NOTHING.include?(text.downcase)

      # @return [String, nil] what stands before or behind a number's figures, as it is written
      def self.unit(text)
        inner = text[/\A\((.+)\)\z/, 1] || text
        (inner.match(BEFORE) || inner.match(AFTER))&.[](:unit)
      end

      # @param text [String] without blanks around it
      # @param mark [String] before decimals, one of MARKS
      # @param unit [String, nil] as .unit gives it, which is left out
      # @return [BigDecimal, nil]
      def number(text, mark, unit = nil)
        return if text.length > LONGEST

        inner = text[/\A\(([^-+(].*)\)\z/, 1]
        return number(inner, mark, unit)&.-@ if inner

        text = text.sub(BEFORE, '\k<sign>').sub(AFTER, "") if unit && CellText.unit(text) == unit
        return exponent(text, mark) if text.match?(EXPONENT)

        text = text.delete("'’") if text.match?(APOSTROPHES)
        found = Core::Values::NumberText.read(text, reading("dmy", mark).conventions, nil)
        found if found.is_a?(BigDecimal)
      end

      # @param order [String] one of ORDERS
      # @return [Date, nil]
      def date(text, order)
        return Core::Calendar.iso8601("#{text[0, 4]}-#{text[4, 2]}-#{text[6, 2]}") if text.match?(COMPACT)
        return if figured?(text) == false

        value(Core::Values::Date, "date", text, order)
      rescue Date::Error
        nil
      end

      # @return [Time, nil] in UTC
      def moment(text, order)
        zoned = text.match(ZONED)
        return value(Core::Values::Moment, "moment", "#{zoned[1]}T#{zoned[2]}#{zone(zoned[3])}", order) if zoned
        return unless text.include?(":") && figured?(text) != false

        value(Core::Values::Moment, "moment", text, order)
      end

      # @return [Core::DayTime, nil]
      def time(text) = text.match?(CLOCK) ? value(Core::Values::Time, "time", text, "dmy") : nil

      # @return [Boolean, nil]
      def answer(text)
        (text.length <= LONGEST) ? answers[text.downcase] : nil
      end

      private

      # @return [Hash{String=>Boolean}] with those of the firm's language
      def answers
        @answers ||= {Core::Wording["Yes"].downcase => true, Core::Wording["No"].downcase => false}.merge(ANSWERS)
      end

      def exponent(text, mark)
        other = (MARKS - [mark]).first
        BigDecimal(text.tr(mark, "."), exception: false) unless text.include?(other)
      end

      def zone(text)
        return text if text == "Z"

        text.match?(/:/) ? text : "#{text[0, 3]}:#{text[3, 2].to_s.ljust(2, "0")}"
      end

      # In figures a year has four of them, or all parts have two: 1.2.3 is the number of a version.
      # @return [Boolean, nil] nil for what is no day in figures
      def figured?(text)
        first, _, second, third = text.match(FIGURES)&.captures || (return nil)
        return true if [first, third].one? { |part| part.length == 4 }

        third.length == 2 && first.length <= 2 && second.length <= 2
      end

      def value(type, name, text, order)
        return if text.length > LONGEST

        found = type.read(text, @blank.fetch(name), reading(order, @conventions.decimal_mark))
        found unless found.is_a?(Core::Values::Unreadable)
      end

      def reading(order, mark)
        @readings[[order, mark]] ||=
          Core::ParseContext.new(
            conventions: Core::Conventions.from(
              @conventions.attributes.merge(
                "date_order" => order,
                "decimal_mark" => mark,
                "group_mark" => (mark == ",") ? "." : ","
              )
            )
          )
      end
    end
  end
end
