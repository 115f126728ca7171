# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # A time of day, kept as "09:30:00" after ISO 8601 and read as "09:30".
      module Time
        module_function

        def key = "time"
        def label = "Time"
        def kind = :time
        def column = :text

        def read(raw, field, _reading)
          return raw if raw.is_a?(DayTime)

          text = Plain.text(raw, field)
          return text unless text.is_a?(String)

          compact = text.strip.tr(".", ":")
          return if compact.empty?

          compact = compact.rjust(4, "0").insert(2, ":") if compact.match?(/\A\d{3,4}\z/)
          compact = "#{compact}:00" if compact.match?(/\A\d{1,2}\z/)
          DayTime.read(compact) || Unreadable.new(code: "not_a_time", message: "#{Plain.quoted(text)} is not a time of day; type it like 9:30.")
        end

        def show(value, _field) = value.to_s
        def dump(value) = value&.iso8601
        def store(value) = value&.iso8601
        def load(plain) = plain.is_a?(DayTime) ? plain : plain && DayTime.read(plain)
      end
    end
  end
end
