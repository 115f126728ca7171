# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # An exact decimal number of up to 15 significant digits. A field may say
      # how many decimals it takes; more are refused, never rounded away. Its
      # format: "group" (whether thousands are set apart), "before" and "after" (a
      # unit or currency sign).
      module Number
        extend Type

        EXAMPLES = %w[1234.5 -0.25 1000000].map { |text| BigDecimal(text) }.freeze

        module_function

        def key = "number"
        def label = Wording["Number"]
        def kind = :number
        def column = :decimal

        def numeric? = true
        def editor = "number"
        def settings = %w[decimals]
        def format_parts = {"group" => :flag, "before" => :text, "after" => :text}

        def format_examples(field, _now, _today) =
          field.decimals ? EXAMPLES.map { |number| Numbers.round(number, field.decimals) } : EXAMPLES

        def described = Wording["A number"]
        def usual(_field) = BigDecimal(1)
        def other(_field, now, _today) = (now || BigDecimal(0)) + 1
        def step(field) = BigDecimal(field.decimals ? "1e-#{field.decimals}" : "0.1")

        def slip(field, stored) =
          Numbers.digits(BigDecimal(stored.to_s) + (field.decimals ? BigDecimal("1e-#{field.decimals}") : 1))

        # Rounded to the decimals of its field.
        def coerce(value, field)
          value = Numbers.round(value, field.decimals) if value.is_a?(BigDecimal) && field.decimals
          read(value, field, nil)
        end

        def cell = :number
        def sql = "NUMERIC"
        def json_schema = {"type" => "number"}

        # Answered as a text, since programs would round it.
        def api_schema = {"type" => %w[string number], "pattern" => "^-?[0-9]+([.][0-9]+)?$"}

        def table_schema = "number"

        def read(raw, field, reading)
          number = raw.is_a?(BigDecimal) ? raw : nil
          number = BigDecimal(raw) if raw.is_a?(Integer)
          number ||= typed(raw, field, reading.conventions)
          number.is_a?(BigDecimal) ? within(number, field) : number
        end

        def show(value, field)
          return "" if value.nil?

          figures = edit(value, field)
          format = field&.format or return figures
          sign = figures.start_with?("-") ? "-" : ""
          figures = figures.delete_prefix("-")
          figures = grouped(figures, field.conventions) if format["group"]
          "#{sign}#{format["before"]}#{figures}#{format["after"]}"
        end

        # @return [String] as one would type it: without unit and thousands marks
        def edit(value, field)
          text = Numbers.digits(value)
          decimals = field&.decimals
          if decimals&.positive?
            whole, part = text.split(".")
            text = "#{whole}.#{part.to_s.ljust(decimals, "0")}"
          end
          field ? text.sub(".", field.conventions.decimal_mark) : text
        end

        def dump(value) = value && Numbers.digits(value)
        def load(stored) = stored && BigDecimal(stored.to_s)

        def grouped(figures, conventions)
          whole, part = figures.split(conventions.decimal_mark)
          [whole.gsub(/(\d)(?=(\d{3})+\z)/, "\\1#{conventions.group_mark}"), part].compact.join(
            conventions.decimal_mark
          )
        end

        def typed(raw, field, conventions)
          text = Plain.text(raw, field)
          text.is_a?(String) ? NumberText.read(text, conventions, field) : text
        end

        def within(number, field)
          unless number.finite?
            return Unreadable.new(code: "not_a_number",
              message: Messages["values.number.takes_number", field: field.label])
          end
          if number.n_significant_digits > Numbers::KEPT_DIGITS || number.exponent > Numbers::KEPT_DIGITS
            return Unreadable.new(
              code: "too_many_digits",
              message: Messages["values.number.takes_numbers_of_up_to_15_digits", field: field.label]
            )
          end
          if number.exponent < -Numbers::LARGEST_EXPONENT
            return Unreadable.new(
              code: "too_small",
              message: Messages["values.number.takes_no_number_so_close_to_0", field: field.label]
            )
          end
          return number if field.decimals.nil? || number.scale <= field.decimals

          Unreadable.new(
            code: "too_many_decimals",
            message: Wording["%{field} takes %{words}.", field: field.label, words: decimals_in_words(field.decimals)]
          )
        end

        def decimals_in_words(count)
          return Wording["whole numbers"] if count.zero?

          (count == 1) ? Wording["at most 1 decimal"] : Wording["at most %{count} decimals", count: count]
        end
      end
    end
  end
end
