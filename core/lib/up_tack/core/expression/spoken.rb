# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # How a call of each function is said in a sentence, around the words for its arguments.
      module Spoken
        TENS = {
          "0" => -> { Wording["a whole number"] },
          "-1" => -> { Wording["tens"] },
          "-2" => -> { Wording["hundreds"] },
          "-3" => -> { Wording["thousands"] }
        }.freeze
        NOTHING = "“”"

        # By name; each is given the words for the arguments, nil for one that is left out.
        ALL = {
          "upper" => ->(text) { Wording["%{text} in uppercase", text: text] },
          "lower" => ->(text) { Wording["%{text} in lowercase", text: text] },
          "proper" => ->(text) { Wording["%{text} with a capital for each word", text: text] },
          "trim" => ->(text) { Wording["%{text} without extra spaces", text: text] },
          "substitute" => ->(text, old, new) do
            if new == NOTHING
              Wording["%{text} without %{old}", text: text, old: old]
            else
              Wording["%{text} with %{old} replaced by %{new}", text: text, old: old, new: new]
            end
          end,
          "rept" => ->(text, times) { Wording["%{text} repeated %{times} times", text: text, times: times] },
          "left" => ->(text, count) { Wording["%{count} of %{text}", count: first(count), text: text] },
          "right" => ->(text, count) { Wording["%{count} of %{text}", count: last(count), text: text] },
          "mid" => ->(text, start, count) do
            if count == "1"
              Wording["1 character of %{text} from position %{start} on", text: text, start: start]
            else
              some = {count: count, text: text, start: start}
              Wording["%{count} characters of %{text} from position %{start} on", **some]
            end
          end,
          "len" => ->(text) { Wording["length of %{text}", text: text] },
          "find" => ->(part, text, start) {
            [
              Wording["position of %{part} in %{text}", part: part, text: text],
              (Wording["from position %{start} on", start: start] if start)
            ].compact.join(" ")
          },
          "exact" => ->(text, other) { Wording["%{text} is exactly %{other}", text: text, other: other] },
          "value" => ->(text) { Wording["%{text} as a number", text: text] },
          "text" => ->(value, pattern) { Wording["%{value} formatted as %{pattern}", value: value, pattern: pattern] },
          "url_encode" => ->(text) { Wording["%{text} as part of a web address", text: text] },
          "abs" => ->(number) { Wording["absolute value of %{number}", number: number] },
          "round" => ->(number, places) {
            Wording["%{number} rounded to %{places}", number: number, places: places(places)]
          },
          "roundup" => ->(number, places) {
            Wording["%{number} rounded up to %{places}", number: number, places: places(places)]
          },
          "rounddown" => ->(number, places) {
            Wording["%{number} rounded down to %{places}", number: number, places: places(places)]
          },
          "floor" => ->(number, step) do
            Wording["%{number} rounded down to %{multiple}", number: number, multiple: multiple(step)]
          end,
          "ceiling" => ->(number, step) do
            Wording["%{number} rounded up to %{multiple}", number: number, multiple: multiple(step)]
          end,
          "power" => ->(number, exponent) {
            Wording["%{number} to the power of %{exponent}", number: number, exponent: exponent]
          },
          "sqrt" => ->(number) { Wording["square root of %{number}", number: number] },
          "min" => ->(*values) { Wording["lowest of %{list}", list: listed(values)] },
          "max" => ->(*values) { Wording["highest of %{list}", list: listed(values)] },
          "mod" => ->(number, divisor) {
            Wording["remainder of %{number} ÷ %{divisor}", number: number, divisor: divisor]
          },
          "today" => -> { Wording["today"] },
          "now" => -> { Wording["now"] },
          "date" => ->(text) { Wording["date of %{text}", text: text] },
          "year" => ->(day) { Wording["year of %{day}", day: day] },
          "month" => ->(day) { Wording["month of %{day}", day: day] },
          "day" => ->(day) { Wording["day of the month of %{day}", day: day] },
          "weekday" => ->(day, type) do
            first =
              case type
              when nil then nil
              when "2" then Wording["from Monday as 1"]
              when "3" then Wording["from Monday as 0"]
              else Wording["from Sunday as 1"]
              end
            [Wording["day of the week of %{day}", day: day], first].compact.join(", ")
          end,
          "days" => ->(last, first) { Wording["days from %{first} to %{last}", first: first, last: last] },
          "time" => ->(hour, minute, second) do
            if minute
              Wording["time %{clock}", clock: [hour, minute, second].compact.map { |part|
                part.rjust(2, "0")
              }.join(":")]
            else
              Wording["time of %{hour}", hour: hour]
            end
          end,
          "hour" => ->(time) { Wording["hour of %{time}", time: time] },
          "minute" => ->(time) { Wording["minute of %{time}", time: time] },
          "weeknum" => ->(day, mode) {
            week = Wording["week of the year of %{day}", day: day]
            (mode == "21") ? Wording["%{week} after ISO 8601", week: week] : week
          },
          "workdays" => ->(first, last) { Wording["working days from %{first} to %{last}", first: first, last: last] },
          "edate" => ->(day, months) { Wording["%{months} months after %{day}", months: months, day: day] },
          "eomonth" => ->(day, months) do
            if months == "0"
              Wording["last day of the month of %{day}", day: day]
            else
              Wording["last day of the month %{months} months after %{day}", months: months, day: day]
            end
          end,
          "coalesce" => ->(*values) { Wording["first non-blank value of %{list}", list: listed(values)] },
          "changed" => ->(field) { Wording["%{field} changed", field: field] },
          "counter" => ->(digits) { Wording["%{digits}-digit count", digits: digits] }
        }.freeze

        # Said after the first argument: as part of a sum they stand in brackets.
        AFTER = %w[
          upper
          lower
          proper
          trim
          substitute
          rept
          value
          text
          url_encode
          round
          roundup
          rounddown
          floor
          ceiling
          power
          edate
          exact
        ].freeze

        module_function

        # @param name [String] of a function
        # @param arguments [Array<String>] in words
        # @return [String]
        def speak(name, arguments)
          said = ALL.fetch(name)
          count = said.arity.negative? ? arguments.length : said.arity
          said.call(*Array.new(count) { |at| arguments[at] })
        end

        def first(count) =
          one?(count) ? Wording["first character"] : Wording["first %{count} characters", count: count]

        def last(count) =
          one?(count) ? Wording["last character"] : Wording["last %{count} characters", count: count]

        def one?(count) = count.nil? || count == "1"

        def multiple(step) = step ? Wording["a multiple of %{step}", step: step] : Wording["a whole number"]

        def places(count)
          return TENS["0"].call if count.nil?

          tens = TENS[count.tr("−", "-")]
          return tens.call if tens

          (count == "1") ? Wording["1 decimal"] : Wording["%{count} decimals", count: count]
        end

        def listed(values) = Masks::Phrases.to_sentence(values)
      end
    end
  end
end
