# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # A day with a time, kept in UTC to the second and shown in the firm's time
      # zone, as "23 Nov 2026, 09:30" or by the field's own pattern (Unicode CLDR).
      module Moment
        extend Type

        PATTERNS = [
          "d MMM yyyy, HH:mm",
          "EEE d MMM yyyy, HH:mm",
          "d MMM, H:mm",
          "dd/MM/yyyy HH:mm",
          "yyyy-MM-dd HH:mm",
          "d MMM yyyy, h:mm a"
        ].freeze
        SHAPE = /
          \A(?<day>.*?\S)(?:\s*[,T]\s*|\s+)
          (?<hour>\d{1,2}(?:[:.]\d{2}){1,2}\s*(?:[ap]m?)?|\d{1,2}\s*[ap]m?)
          (?:\s+(?<zone>[A-Z]{2,5}|[+-]\d{2}(?:\d{2})?))?\z
        /ix

        module_function

        def key = "moment"
        def label = Wording["Date and time"]
        def kind = :moment
        def column = :datetime

        def moment? = true
        def format_parts = {"pattern" => :pattern}
        def offered_patterns = PATTERNS
        def format_examples(_field, now, _today) = [now.round]
        def usual(_field) = ::Time.utc(2026, 6, 15, 12)
        def other(field, _now, _today) = usual(field)
        def step(_field) = 60
        def cell = :moment
        def sql = "TIMESTAMP"
        def json_schema = {"type" => "string", "format" => "date-time"}
        def table_schema = "datetime"

        def read(raw, field, reading)
          return raw.getutc.round if raw.is_a?(::Time)

          text = Plain.text(raw, field)
          return text unless text.is_a?(String)

          text = Plain.word(text)
          exact(text) || typed(text, field, reading) unless text.empty?
        end

        def show(value, field)
          return "" if value.nil?

          pattern = field&.format.to_h["pattern"]
          pattern ? Patterns.write(local(value, field), pattern) : edit(value, field)
        end

        # @return [String] as one would type it
        def edit(value, field)
          at = local(value, field)
          hour = at.strftime(at.sec.zero? ? "%H:%M" : "%H:%M:%S")
          "#{Date.edit(Calendar.date_of(at), nil)}, #{hour}#{" #{zone_name(at, field)}" if twice?(at, field)}"
        end

        def dump(value) = value&.getutc&.iso8601
        def load(stored) = stored.is_a?(::Time) ? stored : stored && ::Time.iso8601(stored).getutc

        # What a program sends, after ISO 8601 with its distance from UTC.
        def exact(text)
          return unless text.match?(/\A\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:?\d\d)\z/)

          text = text.sub(/(?<=T\d\d:\d\d)(?=Z|[+-])/, ":00")
          ::Time.iso8601(text).getutc.round
        rescue ArgumentError
          nil
        end

        def typed(text, field, reading)
          match = SHAPE.match(text) or return day_alone(text, field, reading)
          day = Date.read(match[:day].chomp(","), field, reading)
          return day if day.is_a?(Unreadable)

          time = Time.read(match[:hour], field, reading)
          return time if time.is_a?(Unreadable)

          at(day, time, match[:zone], text, reading)
        end

        # A time is part of it: midnight must not be made up.
        def day_alone(text, field, reading)
          day = Date.read(text, field, reading)
          if day.is_a?(::Date)
            return Unreadable.new(
              code: "no_time",
              message: Messages["values.moment.is_day", text: Plain.quoted(text), day: Date.edit(day, nil)]
            )
          end

          Unreadable.new(
            code: "not_a_moment",
            message: Messages["values.moment.is_not_day_and_time", text: Plain.quoted(text)]
          )
        end

        # When clocks go back an hour there is twice, when they go forward one is not there.
        def at(day, time, zone, text, reading)
          found = reading.conventions.moments(day, time)
          if found.empty?
            return Unreadable.new(
              code: "no_such_time",
              message: Messages["values.moment.no_such_time", time: time, day: Date.edit(day, nil)]
            )
          end
          return found.first.first if found.one?

          meant = found.find { |_, name| name.casecmp?(zone.to_s) }
          return meant.first if meant

          Unreadable.new(
            code: "ambiguous",
            message:
              Messages[
                "values.moment.is_there_twice_since_clocks_go_back",
                text: Plain.quoted(text),
                readings: found.map { |_, name| "#{time} #{name}" }.join(" or ")
              ]
          )
        end

        def local(value, field) = (field&.conventions || Conventions.from({})).local(value)

        def twice?(at, field) =
          field && field.conventions.moments(Calendar.date_of(at), DayTime.at(at.hour, at.min, at.sec)).length > 1

        def zone_name(at, field) =
          field
            .conventions
            .moments(Calendar.date_of(at), DayTime.at(at.hour, at.min, at.sec))
            .find { |moment, _| moment.to_i == at.to_i }
            &.last
      end
    end
  end
end
