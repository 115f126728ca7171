# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Functions
        # Functions of days and moments, named after OpenFormula (ISO/IEC
        # 26300-2, 6.10). A moment is taken in the firm's time zone.
        module DateFunctions
          # @return [String, nil] what is wrong with a fixed date
          UNREADABLE = lambda do |text|
            next unless text.is_a?(String)

            "There is no date \"#{text}\"; write it as year-month-day, like date(\"2026-11-23\")." unless DateFunctions.iso(text)
          end

          module_function

          def all = reading + taking_apart + moving

          def reading
            [
              make("today", {}, :date, "The day on which it is worked out.", "today()", "2026-11-23") { |evaluation| evaluation.context.clock.today },
              make("now", {}, :moment, "The day and hour at which it is worked out.", "now()", "2026-11-23T09:30:00Z") { |evaluation| evaluation.context.clock.now },
              make("date", {text: %i[text moment date]}, :date, "A fixed date, written year-month-day; or the day of a moment.", 'date("2026-11-23")', "2026-11-23", literal: UNREADABLE) do |evaluation, given|
                case given
                when ::Time then evaluation.context.clock.day_of(given)
                when ::Date then given
                else iso(given) || evaluation.note(:not_a_date, "the text holds no date")
                end
              end
            ]
          end

          def taking_apart
            [
              part("year", "The year of a date.", "2026", &:year),
              part("month", "The month of a date, 1 to 12.", "11", &:month),
              part("day", "The day of the month of a date.", "23", &:day),
              make("days", {end: :date, start: :date}, :number, "How many days lie between two dates; the later one first.", 'days(date("2026-12-07"), date("2026-11-23"))', "14") do |_, last, first|
                BigDecimal((last - first).to_i)
              end
            ]
          end

          def moving
            [
              make("edate", {date: :date, months: :number}, :date, "The same day some months on; the month's last where there is no such day.", 'edate(date("2027-01-31"), 1)', "2027-02-28") do |evaluation, date, months|
                shifted(date, months, evaluation)
              end,
              make("eomonth", {date: :date, months: :number}, :date, "The last day of the month, some months on.", 'eomonth(date("2026-11-23"), 0)', "2026-11-30") do |evaluation, date, months|
                moved = shifted(date, months, evaluation)
                moved && ::Date.new(moved.year, moved.month, -1)
              end
            ]
          end

          # @return [Date, nil]
          def iso(text)
            match = /\A\s*(\d{4})-(\d{2})-(\d{2})\s*\z/.match(text) or return
            year, month, day = match.captures.map(&:to_i)
            ::Date.new(year, month, day) if year.positive? && ::Date.valid_date?(year, month, day)
          end

          def shifted(date, months, evaluation)
            moved = (months.abs < 120_000) ? date >> months.to_i : nil
            return moved if moved&.year&.between?(1, 9999)

            evaluation.note(:date_range, "the date is outside the years 1 to 9999")
          end

          def part(name, help, result, &work)
            make(name, {date: :date}, :number, help, "#{name}(date(\"2026-11-23\"))", result) { |_, date| BigDecimal(work.call(date)) }
          end

          def make(name, takes, returns, help, example, result, literal: nil, &work)
            Function.new(name, group: "Dates", takes: takes, returns: returns, help: help, example: example, result: result, literal: literal, &work)
          end
        end
      end
    end
  end
end
