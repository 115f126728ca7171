# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # Yes, no or blank.
      module YesNo
        WORDS = {
          "yes" => true, "y" => true, "true" => true, "1" => true, "x" => true,
          "no" => false, "n" => false, "false" => false, "0" => false
        }.freeze

        module_function

        def key = "yes_no"
        def label = "Yes/no"
        def kind = :yes_no
        def column = :boolean

        def read(raw, field, _reading)
          text = Plain.text(raw, field)
          return text unless text.is_a?(String)

          word = text.strip.downcase
          return if word.empty?

          WORDS.fetch(word) do
            Unreadable.new(code: "not_yes_or_no", message: "#{field.label} takes yes or no, not #{Plain.quoted(text)}.")
          end
        end

        def show(value, _field)
          return "" if value.nil?

          value ? "Yes" : "No"
        end

        def dump(value) = value
        def load(plain) = plain
      end
    end
  end
end
