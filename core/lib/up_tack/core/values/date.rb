# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # A calendar day, after ISO 8601 in the store and as "23 Nov 2026" for
      # reading, or by the field's own pattern (Unicode CLDR). Years 1 to 9999.
      module Date
        extend Type

        MONTHS = %w[January February March April May June July August September October November December].freeze
        USUAL = "d MMM yyyy"
        PATTERNS = [
          "d MMM yyyy",
          "EEE d MMM yyyy",
          "d MMMM yyyy",
          "dd/MM/yyyy",
          "dd.MM.yyyy",
          "yyyy-MM-dd",
          "d MMM yy",
          "MMM yyyy"
        ].freeze

        module_function

        def key = "date"
        def label = Wording["Date"]
        def kind = :date
        def column = :date

        def day? = true
        def editor = "day"
        def format_parts = {"pattern" => :pattern}
        def offered_patterns = PATTERNS
        def format_examples(_field, _now, today) = [today]
        def coerce(value, _field) = value
        def usual(_field) = Calendar.day(2026, 6, 15)
        def other(_field, now, today) = (now || today) - 1
        def slip(_field, stored) = (Calendar.iso8601(stored) + 1).iso8601
        def cell = :day
        def sql = "DATE"
        def json_schema = {"type" => "string", "format" => "date"}
        def table_schema = "date"

        def read(raw, field, reading)
          return Calendar.same(raw) if raw.is_a?(::Date)

          text = Plain.text(raw, field)
          return text unless text.is_a?(String)

          DateText.read(Plain.word(text), field, reading)
        end

        def show(value, field)
          return "" if value.nil?

          pattern = field&.format.to_h["pattern"]
          pattern ? Patterns.write(value, pattern) : edit(value, nil)
        end

        # @return [String] as one would type it
        def edit(value, _field) = "#{value.day} #{MONTHS[value.month - 1][0, 3]} #{value.year.to_s.rjust(4, "0")}"

        def dump(value) = value&.iso8601
        def load(stored) = stored.is_a?(::Date) ? Calendar.same(stored) : stored && Calendar.iso8601(stored)

        # @return [Date, Unreadable]
        def build(year, month, day)
          unless month.between?(1, 12)
            return Unreadable.new(code: "no_such_date",
              message: Messages["values.date.there_is_no_month", month: month])
          end
          unless year.between?(1, 9999) && Calendar.valid?(year, month, day)
            return Unreadable.new(
              code: "no_such_date",
              message: Messages["values.date.no_such_day", day: day, month: MONTHS[month - 1], year: year]
            )
          end
          Calendar.day(year, month, day)
        end
      end
    end
  end
end
