# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # What keeps a reading format from being used.
      module Formats
        # Characters of a unit, a word or the like.
        LONGEST = 20

        module_function

        # @param field [Field]
        # @return [Array<Core::Problem>]
        def problems(field)
          message = message(field)
          message ? [Problem.new(part: "format", message: message)] : []
        end

        def message(field)
          format = field.format
          return if format.nil?
          return Messages["design.formats.reading_format_is_object_of_settings"] unless format.is_a?(Hash)

          known = field.values.format_parts.merge("blank" => :text)
          format.each do |name, value|
            # What belonged to another type of the field is passed over.
            wrong = known.key?(name) && setting_problem(known[name], value, field)
            return wrong if wrong
          end
          same_words(format) if field.yes_no?
        end

        def setting_problem(shape, value, field)
          return if value.nil?
          if shape == :flag
            return ([true, false].include?(value) ? nil : Messages[
              "design.formats.setting_is_on_or_off", field: field.label
            ])
          end
          unless value.is_a?(String) &&
              value.length <= ((shape == :pattern) ? Values::Patterns::LONGEST : LONGEST) &&
              !value.match?(/[[:cntrl:]]/)
            return Messages["design.formats.reading_format_is_made_of_texts", field: field.label, most: LONGEST]
          end

          pattern_problem(value, field) if shape == :pattern
        end

        def pattern_problem(pattern, field)
          Values::Patterns.check(pattern, field.kind)
          nil
        rescue Values::Patterns::Invalid => e
          e.message
        end

        def same_words(format)
          yes, no = format.values_at("yes", "no").map { |word| Unicode.folded(word.to_s.strip) }
          return if yes.empty? && no.empty?

          Messages["design.formats.words_for_yes_and_no_must_differ"] if yes == no || %w[no
            n].include?(yes) || %w[yes y].include?(no)
        end
      end
    end
  end
end
