# frozen_string_literal: true

module UpTack
  module Core
    module Values
      # Writes days, hours and numbers by a pattern after Unicode CLDR (UTS #35):
      # "EEE d MMM yyyy", "HH:mm", "#,##0.00". Text stands in single quotes. In a pattern for a
      # number `.` and `,` stand for the firm's own marks.
      module Patterns
        LONGEST = 200
        DAYS = %w[Sunday Monday Tuesday Wednesday Thursday Friday Saturday].freeze
        # What each letter of a date pattern writes, by how often it stands.
        DATE = {
          "y" => ->(at, count) { (count == 2) ? at.strftime("%y") : at.year.to_s.rjust(count, "0") },
          "M" => ->(at, count) { month(at.month, count) },
          "L" => ->(at, count) { month(at.month, count) },
          "d" => ->(at, count) { at.day.to_s.rjust(count, "0") },
          "E" => ->(at, count) { weekday(at.wday, count) },
          "w" => ->(at, count) { at.strftime("%V").to_i.to_s.rjust(count, "0") },
          "D" => ->(at, count) { at.yday.to_s.rjust(count, "0") },
          "Q" => ->(at, count) { (count >= 3) ? "Q#{quarter(at)}" : quarter(at).to_s.rjust(count, "0") }
        }.freeze
        TIME = {
          "H" => ->(at, count) { at.hour.to_s.rjust(count, "0") },
          "h" => ->(at, count) { (((at.hour - 1) % 12) + 1).to_s.rjust(count, "0") },
          "m" => ->(at, count) { minute(at).to_s.rjust(count, "0") },
          "s" => ->(at, count) { second(at).to_s.rjust(count, "0") },
          "a" => ->(at, _) { (at.hour < 12) ? "am" : "pm" }
        }.freeze
        # The letters that a value of each type has something for.
        LETTERS = {date: DATE, time: TIME, moment: DATE.merge(TIME)}.freeze
        # Letters of other notations, with what is written here.
        MEANT = {
          "Y" => "y", "S" => "s", "n" => "m", "A" => "a", "T" => "a", "W" => "w", "t" => "a", "p" => "a", "q" => "Q"
        }.freeze
        # Letters that are there, but seldom meant where another one stands.
        SELDOM = {"D" => ["d", "the day of the year", "the day of the month"]}.freeze
        RUN = /''|'(?:[^']|'')*'|([A-Za-z])\1*/

        # A pattern that can't be used for the value.
        # from, to:: offsets in the pattern
        class Invalid < StandardError
          attr_reader :from, :to

          def initialize(message, from = 0, to = 0)
            @from = from
            @to = to
            super(message)
          end
        end

        # What a pattern writes that is surely not meant; with offsets like Invalid.
        Advice = Struct.new(:message, :from, :to)

        class << self
          # @param value [BigDecimal, Date, Time, DayTime]
          # @param pattern [String]
          # @param conventions [Conventions, nil] of the firm; nil for "." and ","
          # @return [String]
          # @raise [Invalid]
          def write(value, pattern, conventions = nil)
            check_shape(pattern)
            return Values::NumberPattern.new(pattern).write(value, conventions) if value.is_a?(BigDecimal)

            letters(value, pattern)
          end

          # @param pattern [String]
          # @param type [Symbol] of the values that are written by it
          # @return [nil]
          # @raise [Invalid] for a pattern by which no such value can be written
          def check(pattern, type)
            check_shape(pattern)
            return Values::NumberPattern.new(pattern).check if type == :number

            known = LETTERS.fetch(type) { return }
            runs(pattern) { |letter, from, to| raise unknown(letter, from, to, known) unless known.key?(letter) }
            return if pattern.gsub(/'[^']*'/, "").match?(/[A-Za-z]/)

            raise Invalid.new(Messages["values.patterns.pattern_needs_letter_such_as_d"], 0, pattern.length)
          end

          # @return [Advice, nil]
          def advice(pattern, type)
            return if type == :number

            runs(pattern) do |letter, from, to|
              meant, is, other = SELDOM[letter]
              next unless meant && pattern.match?(/[yM]/)

              message =
                Messages[
                  "values.patterns.is_is",
                  pattern: pattern[from...to],
                  is: is,
                  other: other,
                  suggestion: meant * (to - from).clamp(1, 2)
                ]
              return Advice.new(message, from, to)
            end
            nil
          end

          def month(number, count)
            name = Values::Date::MONTHS[number - 1]
            case count
            when 1, 2 then number.to_s.rjust(count, "0")
            when 3 then name[0, 3]
            when 4 then name
            else name[0]
            end
          end

          def weekday(number, count)
            return DAYS[number] if count == 4

            DAYS[number][0, (count == 5) ? 1 : 3]
          end

          def quarter(at) = ((at.month - 1) / 3) + 1
          def minute(at) = at.is_a?(DayTime) ? at.minute : at.min
          def second(at) = at.is_a?(DayTime) ? at.second : at.sec

          private

          def check_shape(pattern)
            if pattern.length > LONGEST
              raise Invalid.new(
                Messages["values.patterns.pattern_has_at_most_characters", most: LONGEST],
                LONGEST,
                pattern.length
              )
            end
            return if pattern.count("'").even?

            from = pattern.rindex("'")
            raise Invalid.new(Messages["values.patterns.text_in_pattern_is_not_closed"], from, pattern.length)
          end

          # @yield [letter, from, to] for each run of one letter outside quotes
          def runs(pattern)
            at = 0
            while (found = RUN.match(pattern, at))
              at = found.end(0)
              yield found[1], found.begin(0), at if found[1]
            end
          end

          def unknown(letter, from, to, known)
            meant = MEANT[letter]
            hint =
              if meant && known.key?(meant)
                Wording["; did you mean `%{pattern}`?", pattern: meant * (to - from)]
              else
                "; put text in single quotes."
              end
            Invalid.new(
              Wording["The letter `%{letter}` has no meaning in a pattern for this%{hint}", letter: letter, hint: hint],
              from,
              to
            )
          end

          def letters(value, pattern)
            known = LETTERS.fetch(Types.type_of(value))
            pattern.gsub(RUN) do |run|
              next "'" if run == "''"
              next run[1..-2].gsub("''", "'") if run.start_with?("'")

              write = known[run[0]] or raise unknown(run[0], 0, 0, known)
              write.call(value, run.length)
            end
          end
        end
      end
    end
  end
end
