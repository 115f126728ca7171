# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # One line of text. Kept exactly as typed, but normalised to NFC (Unicode
      # UAX #15), so that the same word typed on two machines is the same text.
      module Text
        extend Type

        # Characters at most.
        LIMIT = 4_000

        module_function

        def key = "text"
        def label = Wording["Text"]
        def kind = :text
        def column = :text

        def one_line? = true
        def usual(_field) = "Made up"
        def other(_field, now, _today) = "#{now || "Made up"} b"
        def slip(_field, stored) = "#{stored} x"
        def scripted(stored, _field) = stored.to_s

        def read(raw, field, _reading)
          text = Plain.text(raw, field)
          return text unless text.is_a?(String)
          return if text.match?(/\A\s*\z/)

          if text.match?(/[\r\n]/)
            return Unreadable.new(
              code: "line_break",
              message: Messages["values.text.holds_one_line", field: field.label]
            )
          end
          Plain.within(text, LIMIT, field)
        end

        def show(value, _field) = value.to_s
      end
    end
  end
end
