# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # Text of several lines, line breaks and all, normalised to NFC. Its format:
      # "turned" (whether the last line is shown first).
      module LongText
        extend Type

        # Characters at most: enough for a megabyte of plain text.
        LIMIT = 1_100_000

        module_function

        def key = "long_text"
        def label = Wording["Long text"]
        def kind = :text
        def column = :text

        def long? = true
        def editor = "area"

        # Whether the last line stands first, as in a running account.
        def format_parts = {"turned" => :flag}

        def usual(_field) = "Made up"
        def other(_field, now, _today) = "#{now || "Made up"} b"
        def slip(_field, stored) = "#{stored} x"
        def scripted(stored, _field) = stored.to_s

        def read(raw, field, _reading)
          text = Plain.text(raw, field)
          return text unless text.is_a?(String)

          Plain.within(text, LIMIT, field)
        end

        def show(value, field) =
          field&.format.to_h["turned"] ? value.to_s.lines(chomp: true).reverse.join("\n") : value.to_s

        # @return [String] as one would type it: never turned round
        def edit(value, _field) = value.to_s
      end
    end
  end
end
