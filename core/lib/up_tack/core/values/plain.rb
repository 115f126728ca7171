# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # What all types share in understanding what arrives: text that is really
      # text, within a length, free of what no store gives back unchanged.
      module Plain
        # Powers of ten up to which a program's number is written out.
        LARGEST_EXPONENT = 100

        module_function

        # @param raw [Object] typed text, or a JSON scalar from a program
        # @return [String, nil, Unreadable] normalised text, nil for blank
        def text(raw, field)
          case raw
          when nil, "" then nil
          when String then clean(raw, field)
          when BigDecimal then figures(raw, field)
          when Integer then raw.to_s
          when true then "yes"
          when false then "no"
          when ::Date then raw.iso8601
          else Unreadable.new(code: "not_a_value", message: Messages[
            "values.plain.takes_one_value_not_list_or_object", label: label(field)
          ])
          end
        end

        # Some values belong to no field, such as the day of a trial.
        def label(field) = field ? field.label : "This"

        # Spaces that do not break a line come along from web pages and other programs; nobody sees them.
        ODD_SPACES = "\u00a0\u2007\u2009\u202f"

        # @param text [String]
        # @return [String] what was typed for a value that is no free text: without spaces at its edges,
        #   and with common ones inside
        def word(text) = text.tr(ODD_SPACES, " ").strip

        # @return [String, Unreadable] the text unless it is longer than limit characters
        def within(text, limit, field)
          return text if text.length <= limit

          Unreadable.new(
            code: "too_long",
            message:
              Messages[
                "values.plain.holds_at_most_characters",
                label: label(field),
                most: grouped(limit),
                length: grouped(text.length)
              ]
          )
        end

        # @return [String] the text in one line, cut short, for use inside a message
        def quoted(text, limit = 40) = "“#{cut(text.strip.gsub(/\s+/, " "), limit)}”"

        # @return [String] at most limit characters, the last an ellipsis if some are missing
        def cut(text, limit) = (text.length > limit) ? "#{text[0, limit - 1]}…" : text

        # A number such as 1e999999999 would be a gigabyte of figures.
        def figures(number, field)
          return Numbers.digits(number) if number.finite? && number.exponent.abs <= LARGEST_EXPONENT

          Unreadable.new(
            code: "too_many_digits",
            message: Messages["values.plain.cant_take_number_of_size", label: label(field)]
          )
        end

        def clean(raw, field)
          return raw if raw.encoding == Encoding::UTF_8 && raw.ascii_only? && !raw.include?("\u0000")

          utf8 = (raw.encoding == Encoding::UTF_8) ? raw : raw.dup.force_encoding(Encoding::UTF_8)
          unless utf8.valid_encoding?
            return Unreadable.new(
              code: "not_unicode",
              message: Messages["values.plain.has_characters_are_not_valid_unicode", label: label(field)]
            )
          end
          if (place = utf8.index("\u0000"))
            return Unreadable.new(
              code: "nul",
              message:
                Messages["values.plain.has_nul_character_at_place_which_cant", label: label(field), place: place + 1]
            )
          end
          utf8.unicode_normalize(:nfc)
        end

        def grouped(number) = number.to_s.gsub(/(\d)(?=(\d{3})+\z)/, '\1,')
      end
    end
  end
end
