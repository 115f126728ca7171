# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # A calendar day, after ISO 8601 in the store and as "23 Nov 2026" for
      # reading. Years 1 to 9999.
      module Date
        MONTHS = %w[January February March April May June July August September October November December].freeze
        # Two figures for a year: up to here this century, above it the last.
        CENTURY_TURN = 69

        module_function

        def key = "date"
        def label = "Date"
        def kind = :date
        def column = :date

        def read(raw, field, reading)
          return raw if raw.is_a?(::Date)

          text = Plain.text(raw, field)
          return text unless text.is_a?(String)

          text = text.strip
          return if text.empty?

          parts = parts_of(text, reading)
          return not_a_date(text) unless parts

          build(*parts)
        end

        def show(value, _field)
          return "" if value.nil?

          "#{value.day} #{MONTHS[value.month - 1][0, 3]} #{value.year.to_s.rjust(4, "0")}"
        end

        def dump(value) = value&.iso8601
        def load(plain) = plain.is_a?(::Date) ? plain : plain && ::Date.iso8601(plain)

        # @return [Date, Unreadable]
        def build(year, month, day)
          unless month.between?(1, 12)
            return Unreadable.new(code: "no_such_date", message: "There is no month #{month}.")
          end
          unless year.between?(1, 9999) && ::Date.valid_date?(year, month, day)
            return Unreadable.new(code: "no_such_date", message: "There is no #{day} #{MONTHS[month - 1]} #{year}.")
          end
          ::Date.new(year, month, day)
        end

        # @return [Array(Integer, Integer, Integer), nil] year, month, day, not yet checked
        def parts_of(text, reading)
          case text
          when /\A(\d{4})-(\d{1,2})-(\d{1,2})\z/ then [$1.to_i, $2.to_i, $3.to_i]
          when %r{\A(\d{1,4})[/. -](\d{1,2})[/. -](\d{1,4})\z} then in_order([$1, $2, $3], reading.conventions.date_order)
          when /\A(\d{1,2})\.?[ -]*(\p{L}{3,})\.?,?(?:[ -]*(\d{4}|\d{2}))?\z/ then named($1, $2, $3, reading)
          when /\A(\p{L}{3,})\.?[ -]*(\d{1,2}),?(?:[ -]+(\d{4}|\d{2}))?\z/ then named($2, $1, $3, reading)
          end
        end

        def in_order(figures, order)
          by_letter = order.chars.zip(figures).to_h
          year = by_letter["y"]
          return if [1, 3].include?(year.length) || by_letter["d"].length > 2

          [full_year(year), by_letter["m"].to_i, by_letter["d"].to_i]
        end

        def named(day, month, year, reading)
          index = MONTHS.index { |name| name.downcase.start_with?(month.downcase) }
          year = year ? full_year(year) : reading.today&.year
          [year, index + 1, day.to_i] if index && year
        end

        def full_year(figures)
          year = figures.to_i
          return year if figures.length > 2

          (year > CENTURY_TURN) ? 1900 + year : 2000 + year
        end

        def not_a_date(text)
          Unreadable.new(code: "not_a_date", message: "#{Plain.quoted(text)} is not a date; type it like 23 Nov 2026.")
        end
      end
    end
  end
end
