# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # Understands a number as people type it, by the firm's marks: "1,200.50"
      # here, "1 200,50" there. Where a mark stands so that the firm's style gives
      # no number, but more than one was perhaps meant, all readings are told.
      module NumberText
        # What every firm reads alike, and no sign could stand in.
        PLAIN = /\A\d{1,15}\z/
        # Each is made once; a firm has two marks, and there are few.
        PATTERNS = {}
        private_constant :PATTERNS
        SPACES = /[\u0020\u00a0\u2009\u202f]/

        module_function

        # @param text [String]
        # @param conventions [Conventions]
        # @return [BigDecimal, nil, Unreadable] nil for blank
        def read(text, conventions, field)
          return BigDecimal(text) if PLAIN.match?(text)

          compact = signless(Plain.word(text), field).tr("−", "-").gsub(SPACES, " ").sub(/\A([+-]) +/, "\\1")
          return if compact.empty?

          figures = figures(compact, conventions.decimal_mark, conventions.group_mark)
          return BigDecimal(figures) if figures

          Unreadable.new(code: "not_a_number", message: message(text, compact, conventions))
        end

        # The field's own unit or currency sign may be typed along, or left out.
        def signless(text, field)
          {"before" => field&.format.to_h["before"], "after" => unit(field)}.reduce(text) do |rest, (part, sign)|
            sign = sign.to_s.strip
            next rest if sign.empty?

            rest.sub(
              (part == "before") ? /\A([+-]?)\s*#{Regexp.escape(sign)}\s*/i : /\s*#{Regexp.escape(sign)}\z/i,
              (part == "before") ? "\\1" : ""
            )
          end
        end

        # @return [String, nil] what stands behind the field's numbers; where nothing is set, the unit that
        #   its label ends with, as in "Clay weight g"
        def unit(field) = field && (field.format.to_h["after"] || field.label[/(?<=\s)(?:\p{L}{1,3}|[€$£%°]\p{L}?)\z/])

        # Thousands marks are passed over only where they stand between groups of
        # three: "1,5" must not silently become fifteen.
        # @return [String, nil] as a program writes it
        def figures(text, decimal, group)
          plain, grouped = patterns(decimal, group)
          return text.sub(decimal, ".").delete_suffix(".") if text.match?(plain)

          between, = grouped.find { |_, pattern| text.match?(pattern) }
          between && text.delete(between).sub(decimal, ".").delete_suffix(".")
        end

        # @return [Array(Regexp, Hash{String=>Regexp})] of numbers without thousands marks, and by mark of those with
        def patterns(decimal, group)
          PATTERNS.fetch([decimal, group]) do |marks|
            mark = Regexp.escape(decimal)
            grouped = [group, " "].uniq.to_h do |between|
              [between, /\A[+-]?\d{1,3}(#{Regexp.escape(between)}\d{3})+(#{mark}\d*)?\z/]
            end
            PATTERNS[marks] = [/\A[+-]?(\d+(#{mark}\d*)?|#{mark}\d+)\z/, grouped]
          end
        end

        def message(text, compact, conventions)
          readings = readings(compact, conventions)
          return Messages["common.is_not_number", text: Plain.quoted(text)] if readings.empty?
          if readings.one?
            return (
              Messages[
                "values.number_text.is_not_written_as_number_here",
                text: Plain.quoted(text),
                reading: readings.first
              ]
            )
          end

          Messages["values.all.could_be", text: Plain.quoted(text), readings: readings.join(" or ")]
        end

        # What somebody may have meant who writes numbers in another way.
        def readings(text, conventions)
          return [] unless text.match?(/\A[+-]?[\d., ]*\d[\d., ]*\z/) && text.length <= 40

          other = (conventions.decimal_mark == ".") ? "," : "."
          swapped = [".", " "].include?(other) ? figures(text, ".", ",") : figures(text, ",", ".")
          [swapped, (text.count(".,") <= 1) ? text.delete(", .") : nil].compact.uniq.map do |candidate|
            candidate.sub(".", conventions.decimal_mark)
          end
        end
      end
    end
  end
end
