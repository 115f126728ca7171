# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # Understands a day as people type it: in figures by the order of the field's
      # own pattern or of the firm, with the month's name or its beginning, or as
      # so many days from today. What can be read in two ways is refused, and both
      # are told.
      module DateText
        # Two figures for a year: up to here this century, above it the last.
        CENTURY_TURN = 69
        WEEKDAY = /\A(?:#{Patterns::DAYS.map { |day| "#{day[0, 3]}(?:#{day[3..]})?" }.join("|")})\.?,?\s+/i
        DAYS_AWAY = {"today" => 0, "tomorrow" => 1, "yesterday" => -1}.freeze
        MOST_DAYS = 100_000
        # What other programs write behind a day that has no time.
        MIDNIGHT = /(?:[T ]|,\s*)\s*(?:0?0:00(?::00(?:\.0+)?)?|12:00(?::00)?\s*am)(?:Z|\+00:?00)?\z/i

        module_function

        # @param text [String] stripped
        # @return [Date, nil, Unreadable] nil for blank
        def read(text, field, reading)
          return if text.empty?

          away = days_away(text)
          return from_today(away, text, reading) if away

          found = readings(text.sub(WEEKDAY, "").sub(MIDNIGHT, ""), field, reading)
          return not_a_date(text) if found.empty?

          days = found.map { |parts| Date.build(*parts) }
          sound = days.grep(::Date).uniq
          return sound.first || days.first if sound.length <= 1 && found.first.first

          ambiguous(text, sound)
        end

        def not_a_date(text)
          timed = text.match?(/\d[T ,]+\d{1,2}:\d{2}/)
          Unreadable.new(
            code: "not_a_date",
            message:
              if timed
                Messages["values.date_text.has_time", text: Plain.quoted(text)]
              else
                Messages["values.date_text.is_not_date", text: Plain.quoted(text)]
              end
          )
        end

        def days_away(text)
          return DAYS_AWAY[text.downcase] if DAYS_AWAY.key?(text.downcase)

          number = text.tr("−", "-")
          number.match?(/\A[+-]\s*\d{1,6}\z/) ? number.delete(" ").to_i : nil
        end

        def from_today(days, text, reading)
          unless reading.today
            return Unreadable.new(
              code: "not_a_date",
              message: Messages["values.date_text.counts_from_today_which_is_not_known", text: Plain.quoted(text)]
            )
          end
          if days.abs > MOST_DAYS
            return Unreadable.new(
              code: "no_such_date",
              message: Messages["values.date_text.is_too_far_away", text: Plain.quoted(text)]
            )
          end

          (reading.today + days).then do |day|
            if day.year.between?(1, 9999)
              day
            else
              Unreadable.new(
                code: "no_such_date",
                message: Messages["values.date_text.is_too_far_away", text: Plain.quoted(text)]
              )
            end
          end
        end

        # @return [Array<Array(Integer, Integer, Integer)>] year, month, day of every way to read it, unchecked
        def readings(text, field, reading)
          case text
          when /\A(\d{4})-(\d{1,2})-(\d{1,2})\z/
            [[$1.to_i, $2.to_i, $3.to_i]]
          when %r{\A(\d{1,4})[/. -](\d{1,2})[/. -](\d{1,4})\z}
            in_figures([$1, $2, $3], text, order(field, reading))
          when %r{\A(\d{1,2})[/.](\d{1,2})\.?\z}
            short([$1, $2], order(field, reading), reading)
          when /\A(\d{1,2})(?:st|nd|rd|th)?\.?[ -]*(\p{L}+)\.?,?(?:[ -]*(\d{4}|\d{2}))?\z/i
            named($1, $2, $3, reading)
          when /\A(\p{L}+)\.?[ -]*(\d{1,2})(?:st|nd|rd|th)?,?(?:[ -]+(\d{4}|\d{2}))?\z/i
            named($2, $1, $3, reading)
          else
            []
          end
        end

        # The order of a pattern in figures is that in which the field is read too.
        def order(field, reading)
          pattern = field&.format.to_h["pattern"].to_s
          letters = pattern.scan(/'[^']*'|([yMd])\1*/).flatten.compact.uniq.join.downcase
          (letters.length == 3 && !pattern.include?("MMM")) ? letters : reading.conventions.date_order
        end

        # Two figures each with dashes between them may be a shortened ISO 8601 date.
        def in_figures(figures, text, order)
          usual = in_order(figures, order)
          iso = in_order(figures, "ymd") if order != "ymd" && text.match?(/\A\d\d-\d\d-\d\d\z/)
          [usual, iso].compact
        end

        def in_order(figures, order)
          by_letter = order.chars.zip(figures).to_h
          year = by_letter["y"]
          return if [1, 3].include?(year.length) || by_letter["d"].length > 2 || by_letter["m"].length > 2

          [full_year(year), by_letter["m"].to_i, by_letter["d"].to_i]
        end

        def short(figures, order, reading)
          day, month = (order.index("d") < order.index("m")) ? figures : figures.reverse
          reading.today ? [[reading.today.year, month.to_i, day.to_i]] : []
        end

        def named(day, month, year, reading)
          year = year ? full_year(year) : reading.today&.year
          return [] unless year

          Date::MONTHS
            .each_index
            .select { |index| Date::MONTHS[index].downcase.start_with?(month.downcase) }
            .map { |index| [year, index + 1, day.to_i] }
        end

        def full_year(figures)
          year = figures.to_i
          return year if figures.length > 2

          (year > CENTURY_TURN) ? 1900 + year : 2000 + year
        end

        def ambiguous(text, days)
          Unreadable.new(
            code: "ambiguous",
            message:
              Messages[
                "values.all.could_be",
                text: Plain.quoted(text),
                readings: days.map { |day| Date.edit(day, nil) }.join(" or ")
              ]
          )
        end
      end
    end
  end
end
