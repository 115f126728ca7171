# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # A link to a record of another table, kept as that record's number. A
      # program gives the number; a person gives the name, as it is shown.
      module Link
        extend Type

        # Names tried in a message when several records have the same one.
        MOST_EXAMPLES = 5

        module_function

        def key = "link"
        def label = Wording["Link"]
        def kind = :link
        def column = :bigint

        def link? = true
        def editor = "link"
        def settings = %w[link]
        def titles? = false
        def relations = Type::BLANKNESS
        def usual(_field) = 1
        def other(_field, _now, _today) = nil
        def scripted(stored, _field) = Integer(stored)
        def cell = :integer
        def sql = "INTEGER"

        def json_schema =
          {"type" => "string", "description" => "The linked record, by its name or what numbers it."}

        def api_schema =
          {"type" => %w[integer string], "description" => "The number of the linked record; its name is taken too."}

        def table_schema = "integer"

        def read(raw, field, reading)
          return existing(raw, field, reading) if raw.is_a?(Integer)

          text = Plain.text(raw, field)
          return text unless text.is_a?(String)
          # A name is looked for as it came first: it may have such spaces itself.
          return if Plain.word(text).empty?

          word = Plain.word(text)
          found = named(text.strip, field, reading)
          (found.is_a?(Unreadable) && word != text.strip) ? named(word, field, reading) : found
        end

        # @param records [#title] Ports::NoRecords where names are not to be had
        def show(value, field, records = Ports::NoRecords)
          return "" if value.nil?

          (field && records.title(field.target, value)) || "##{value}"
        end

        def dump(value) = value
        def load(stored) = stored && Integer(stored)

        # Part of a name is no mistake, only not enough.
        def unfound(text, field, reading)
          alike = reading.records.alike(field.target, text)
          if alike.zero?
            return Unreadable.new(
              code: "no_such_record",
              message: Messages["values.link.nothing_is_called", field: field.label, text: Plain.quoted(text)]
            )
          end

          Unreadable.new(
            code: "several_records",
            message:
              Messages[
                (alike < 10) ? "values.link.several_match" : "values.link.many_match",
                field: field.label,
                count: alike,
                text: Plain.quoted(text)
              ]
          )
        end

        def existing(number, field, reading)
          if number.positive? && number < 2**62 && (reading.nil? || reading.records.find(field.target, number))
            return number
          end

          Unreadable.new(
            code: "no_such_record",
            message: Messages["values.link.there_is_no_record", field: field.label, number: number]
          )
        end

        def named(text, field, reading)
          found = reading.records.named(field.target, text)
          found = [text.to_i] if found.empty? && text.match?(/\A\d{1,15}\z/) &&
            reading.records.find(field.target, text.to_i)
          return found.first if found.one?
          return unfound(text, field, reading) if found.empty?

          numbers = found.first(MOST_EXAMPLES).map { |id| "##{id}" }.join(", ")
          Unreadable.new(
            code: "several_records",
            message:
              Messages[
                "values.link.several_are_called",
                field: field.label,
                text: Plain.quoted(text),
                numbers: numbers,
                more: (", …" if found.length > MOST_EXAMPLES)
              ]
          )
        end
      end
    end
  end
end
