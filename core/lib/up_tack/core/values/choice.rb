# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # One of the field's listed choices, kept as the text of the choice. Case
      # does not matter when it is typed, and becomes that of the list.
      module Choice
        extend Type

        module_function

        def key = "choice"
        def label = Wording["Choice"]
        def kind = :text
        def column = :text

        def listed? = true
        def editor = "choice"
        def settings = %w[choices]
        def usual(field) = field.open_choices.first
        def other(field, now, _today) = field.open_choices.find { |choice| choice != now }
        def slip(field, stored) = other(field, stored, nil)
        def scripted(stored, _field) = stored.to_s

        def read(raw, field, _reading)
          text = Plain.text(raw, field)
          return text unless text.is_a?(String)

          word = Unicode.folded(Plain.word(text))
          return if word.empty?

          field.choices.find { |choice| Unicode.folded(Plain.word(choice)) == word } ||
            Unreadable.new(
              code: "not_a_choice",
              message:
                Messages[
                  "values.choice.is_not_among_choices",
                  text: Plain.quoted(text),
                  choices: field.open_choices.join(", ")
                ]
            )
        end

        def show(value, _field) = value.to_s
      end
    end
  end
end
