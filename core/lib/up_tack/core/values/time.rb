# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # A time of day, kept as "09:30:00" after ISO 8601 and read as "09:30", or by
      # the field's own pattern (Unicode CLDR).
      module Time
        extend Type

        PATTERNS = ["HH:mm", "H:mm", "h:mm a", "HH:mm:ss", "HH'h'mm"].freeze

        module_function

        def key = "time"
        def label = Wording["Time"]
        def kind = :time
        def column = :text

        def clock? = true
        def format_parts = {"pattern" => :pattern}
        def offered_patterns = PATTERNS
        def format_examples(_field, _now, _today) = [DayTime.at(9, 5), DayTime.at(17, 30)]
        def usual(_field) = DayTime.at(12, 0)
        def other(field, _now, _today) = usual(field)
        def step(_field) = 60
        def cell = :time

        def read(raw, field, _reading)
          return raw if raw.is_a?(DayTime)

          text = Plain.text(raw, field)
          return text unless text.is_a?(String)

          compact =
            Plain.word(text).downcase.tr(".h", "::").gsub(/\s+/, "").sub(/(?<=\d):(?=[ap]m?\z)/, "").sub(/:\z/, "")
          return if compact.empty?

          half = compact.slice!(/[ap]:?m?\z/)
          return by_halves(compact, half[0], text) if half

          DayTime.read(whole(compact)) || not_a_time(text)
        end

        def show(value, field)
          pattern = field&.format.to_h["pattern"]
          (pattern && value) ? Patterns.write(value, pattern) : value.to_s
        end

        # @return [String] as one would type it
        def edit(value, _field) = value.to_s

        def whole(compact)
          return compact.rjust(4, "0").insert(2, ":") if compact.match?(/\A\d{3,4}\z/)

          compact.match?(/\A\d{1,2}\z/) ? "#{compact}:00" : compact
        end

        # Hours of the clock's two halves: 12 am is midnight, 12 pm is noon.
        def by_halves(compact, half, text)
          at = DayTime.read(whole(compact))
          return not_a_time(text) unless at&.hour&.between?(1, 12)

          DayTime.at((at.hour % 12) + ((half == "p") ? 12 : 0), at.minute, at.second)
        end

        def not_a_time(text) =
          Unreadable.new(
            code: "not_a_time",
            message: Messages["values.time.is_not_time_of_day", text: Plain.quoted(text)]
          )

        def dump(value) = value&.iso8601
        def store(value) = value&.iso8601
        def load(stored) = stored.is_a?(DayTime) ? stored : stored && DayTime.read(stored)
      end
    end
  end
end
