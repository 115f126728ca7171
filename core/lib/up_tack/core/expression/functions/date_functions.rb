# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Functions
        # Functions of days and moments, named after OpenFormula (ISO/IEC
        # 26300-2, 6.10). A moment is taken in the firm's time zone.
        module DateFunctions
          # @return [Problem, nil] what is wrong with a fixed date
          UNREADABLE = lambda do |arguments, _types|
            node = arguments.first
            text = node.is_a?(Nodes::Literal) && node.value
            next if !text.is_a?(String) || DateFunctions.iso(text)

            message = Messages["expression.date_functions.there_is_no_date", text: text]
            Problem.new(message: message, from: node.from, to: node.to)
          end

          module_function

          def all = reading + taking_apart + hours + weeks + shifting_functions

          def reading
            [
              make(
                "today",
                {},
                :date,
                "Today's date.",
                "today()",
                "2026-11-23",
                fleeting: true
              ) { |evaluation| Calendar.same(evaluation.context.clock.today) },
              make(
                "now",
                {},
                :moment,
                "The current date and time.",
                "now()",
                "2026-11-23T09:30:00Z",
                fleeting: true
              ) { |evaluation| evaluation.context.clock.now },
              make(
                "date",
                {text: %i[text moment date]},
                :date,
                "A fixed date, written year-month-day; or the date of a date and time.",
                'date("2026-11-23")',
                "2026-11-23",
                literal: UNREADABLE
              ) do |evaluation, given|
                case given
                when ::Time then evaluation.context.clock.day_of(given)
                when ::Date then given
                else iso(given) || evaluation.note(:not_a_date, "the text contains no date")
                end
              end
            ]
          end

          def taking_apart
            [
              part("year", Messages["expression.date_functions.year_of_date"], "2026", &:year),
              part("month", Messages["expression.date_functions.month_of_date_1_to_12"], "11", &:month),
              part("day", Messages["expression.date_functions.day_of_month_of_date"], "23", &:day),
              make(
                "weekday",
                {date: :date, type?: :number},
                :number,
                "The day of the week: 1 is Sunday; with 2 as type, 1 is Monday; with 3, Monday is 0.",
                'weekday(date("2026-11-23"), 2)',
                "1"
              ) do |evaluation, date, type|
                weekday(date, type ? type.to_i : 1) ||
                  evaluation.note(:no_such_type, "this weekday type does not exist")
              end,
              make(
                "days",
                {end: :date, start: :date},
                :number,
                "How many days lie between two dates; the later one first.",
                'days(date("2026-12-07"), date("2026-11-23"))',
                "14"
              ) { |_, last, first| BigDecimal((last - first).to_i) }
            ]
          end

          def hours
            [
              make(
                "time",
                {hour: %i[number text moment], minute?: :number, second?: :number},
                :time,
                "A time, from its parts or written hour:minute; or the time of a date and time.",
                "time(9, 30)",
                "09:30:00"
              ) do |evaluation, hour, minute, second|
                time_of(evaluation, hour, minute, second) ||
                  evaluation.note(:not_a_time, "not a valid time")
              end,
              part_of_day("hour", Messages["expression.date_functions.hour_of_time_or_moment_0"], "9", :hour, :hour),
              part_of_day(
                "minute",
                Messages["expression.date_functions.minute_of_time_or_moment_0"],
                "30",
                :minute,
                :min
              )
            ]
          end

          def weeks
            [
              make(
                "weeknum",
                {date: :date, mode?: :number},
                :number,
                "The week of the year. Weeks start on Sunday, or on Monday with mode 2; mode 21 is the ISO 8601 week.",
                'weeknum(date("2026-11-23"), 21)',
                "48"
              ) do |evaluation, date, mode|
                weeknum(date, mode ? mode.to_i : 1) ||
                  evaluation.note(:no_such_mode, "this week mode does not exist")
              end,
              make(
                "workdays",
                {start: :date, end: :date},
                :number,
                "How many days from Monday to Friday there are from one date to another, both counted.",
                'workdays(date("2026-11-23"), date("2026-12-07"))',
                "11"
              ) { |_, first, last| BigDecimal((first <= last) ? workdays(first, last) : -workdays(last, first)) }
            ]
          end

          # WEEKDAY of OpenFormula (6.10.20): 1 Sunday first, 2 Monday first, 3 Monday as 0.
          def weekday(date, type)
            case type
            when 1 then BigDecimal(date.wday + 1)
            when 2 then BigDecimal(date.cwday)
            when 3 then BigDecimal(date.cwday - 1)
            end
          end

          # WEEKNUM of OpenFormula (6.10.21): in modes 1 and 2 the week of 1 January is the first.
          def weeknum(date, mode)
            return BigDecimal(date.cweek) if [21, 150].include?(mode)
            return unless [1, 2].include?(mode)

            first = Calendar.day(date.year, 1, 1)
            offset = (mode == 1) ? first.wday : first.cwday - 1
            BigDecimal(((date.yday - 1 + offset) / 7) + 1)
          end

          def workdays(first, last)
            weeks, rest = ((last - first).to_i + 1).divmod(7)
            (weeks * 5) + (0...rest).count { |day| (last - day).cwday < 6 }
          end

          def time_of(evaluation, hour, minute, second)
            case hour
            when ::Time
              local = evaluation.context.clock.local(hour)
              DayTime.at(local.hour, local.min, local.sec)
            when String then DayTime.read(hour.strip)
            else DayTime.at(*[hour, minute, second].map { |each| each ? each.to_i : 0 })
            end
          end

          def part_of_day(name, help, result, of_time, of_moment)
            make(name, {time: %i[time moment]}, :number, help, "#{name}(time(9, 30))", result) do |evaluation, time|
              BigDecimal(
                if time.is_a?(DayTime)
                  time.public_send(of_time)
                else
                  evaluation.context.clock.local(time).public_send(of_moment)
                end
              )
            end
          end

          def shifting_functions
            [
              make(
                "edate",
                {date: :date, months: :number},
                :date,
                "The same day a number of months later; the last day of the month if it has no such day.",
                'edate(date("2027-01-31"), 1)',
                "2027-02-28"
              ) { |evaluation, date, months| shifted(date, months, evaluation) },
              make(
                "eomonth",
                {date: :date, months: :number},
                :date,
                "The last day of the month, some months on.",
                'eomonth(date("2026-11-23"), 0)',
                "2026-11-30"
              ) do |evaluation, date, months|
                moved = shifted(date, months, evaluation)
                moved && Calendar.day(moved.year, moved.month, -1)
              end
            ]
          end

          # @return [Date, nil]
          def iso(text)
            match = /\A\s*(\d{4})-(\d{2})-(\d{2})\s*\z/.match(text) or return
            year, month, day = match.captures.map(&:to_i)
            Calendar.day(year, month, day) if year.positive? && Calendar.valid?(year, month, day)
          end

          def shifted(date, months, evaluation)
            moved = (months.abs < 120_000) ? date >> months.to_i : nil
            return moved if moved&.year&.between?(1, 9999)

            evaluation.note(:date_range, "the date is outside the years 1 to 9999")
          end

          def part(name, help, result, &work)
            make(name, {date: :date}, :number, help, "#{name}(date(\"2026-11-23\"))", result) do |_, date|
              BigDecimal(work.call(date))
            end
          end

          def make(name, takes, returns, help, example, result, literal: nil, fleeting: false, &work)
            Function.new(
              name,
              group: "Dates",
              takes: takes,
              returns: returns,
              help: help,
              example: example,
              result: result,
              literal: literal,
              fleeting: fleeting,
              &work
            )
          end
        end
      end
    end
  end
end
