# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # Yes, no or blank. A field may have words of its own for them.
      module YesNo
        extend Type

        WORDS = {
          "yes" => true, "y" => true, "true" => true, "1" => true, "x" => true,
          "no" => false, "n" => false, "false" => false, "0" => false
        }.freeze

        module_function

        def key = "yes_no"
        def label = Wording["Yes/no"]
        def kind = :yes_no
        def column = :boolean

        def yes_no? = true
        def editor = "answer"
        def titles? = false
        def relations = ["=", *Type::BLANKNESS]
        def format_parts = {"yes" => :text, "no" => :text}
        def format_examples(_field, _now, _today) = [true, false]
        def coerce(value, _field) = value
        def usual(_field) = true
        def other(_field, now, _today) = now != true
        def slip(_field, stored) = stored != true

        def scripted(stored, field) =
          [true, false].include?(stored) ? stored : raise(TypeError, "#{field.label} is yes or no")

        def cell = :yes_no
        def sql = "BOOLEAN"
        def json_schema = {"type" => "boolean"}
        def table_schema = "boolean"

        def read(raw, field, _reading)
          text = Plain.text(raw, field)
          return text unless text.is_a?(String)

          text = Plain.word(text)
          word = text.downcase
          return if word.empty?

          own =
            {word(field, true) => true, word(field, false) => false}.transform_keys do |each|
              Unicode.folded(each)
            end
          own.fetch(Unicode.folded(text)) { WORDS.fetch(word) { unreadable(text, field) } }
        end

        def show(value, field) = value.nil? ? "" : word(field, value)

        # @return [String] the field's own word, or the usual one
        def word(field, value)
          own = field&.format.to_h[value ? "yes" : "no"].to_s.strip
          return own unless own.empty?

          value ? Wording["Yes"] : Wording["No"]
        end

        def unreadable(text, field)
          Unreadable.new(
            code: "not_yes_or_no",
            message:
              Messages[
                "values.yes_no.takes_or_not",
                field: field.label,
                yes: word(field, true).downcase,
                no: word(field, false).downcase,
                text: Plain.quoted(text)
              ]
          )
        end
      end
    end
  end
end
