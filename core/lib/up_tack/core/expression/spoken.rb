# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # How a call of each function is said in a sentence, around the words for its arguments.
      module Spoken
        TENS = {"0" => "a whole number", "-1" => "tens", "-2" => "hundreds", "-3" => "thousands"}.freeze
        NOTHING = "“”"

        # By name; each is given the words for the arguments, nil for one that is left out.
        ALL = {
          "upper" => ->(text) { "#{text} in uppercase" },
          "lower" => ->(text) { "#{text} in lowercase" },
          "proper" => ->(text) { "#{text} with a capital for each word" },
          "trim" => ->(text) { "#{text} without extra spaces" },
          "substitute" => ->(text, old, new) do
            (new == NOTHING) ? "#{text} without #{old}" : "#{text} with #{old} replaced by #{new}"
          end,
          "rept" => ->(text, times) { "#{text} repeated #{times} times" },
          "left" => ->(text, count) { "#{counted("first", count)} of #{text}" },
          "right" => ->(text, count) { "#{counted("last", count)} of #{text}" },
          "mid" => ->(text, start, count) do
            "#{count} #{(count == "1") ? "character" : "characters"} of #{text} from position #{start} on"
          end,
          "len" => ->(text) { "length of #{text}" },
          "find" => ->(part, text, start) { "position of #{part} in #{text}#{" from position #{start} on" if start}" },
          "exact" => ->(text, other) { "#{text} is exactly #{other}" },
          "value" => ->(text) { "#{text} as a number" },
          "text" => ->(value, pattern) { "#{value} formatted as #{pattern}" },
          "url_encode" => ->(text) { "#{text} as part of a web address" },
          "abs" => ->(number) { "absolute value of #{number}" },
          "round" => ->(number, places) { "#{number} rounded to #{places(places)}" },
          "roundup" => ->(number, places) { "#{number} rounded up to #{places(places)}" },
          "rounddown" => ->(number, places) { "#{number} rounded down to #{places(places)}" },
          "floor" => ->(number, step) do
            "#{number} rounded down to #{step ? "a multiple of #{step}" : "a whole number"}"
          end,
          "ceiling" => ->(number, step) do
            "#{number} rounded up to #{step ? "a multiple of #{step}" : "a whole number"}"
          end,
          "power" => ->(number, exponent) { "#{number} to the power of #{exponent}" },
          "sqrt" => ->(number) { "square root of #{number}" },
          "min" => ->(*values) { "lowest of #{listed(values)}" },
          "max" => ->(*values) { "highest of #{listed(values)}" },
          "mod" => ->(number, divisor) { "remainder of #{number} ÷ #{divisor}" },
          "today" => -> { "today" },
          "now" => -> { "now" },
          "date" => ->(text) { "date of #{text}" },
          "year" => ->(day) { "year of #{day}" },
          "month" => ->(day) { "month of #{day}" },
          "day" => ->(day) { "day of the month of #{day}" },
          "weekday" => ->(day, type) do
            first = {"2" => "from Monday as 1", "3" => "from Monday as 0"}.fetch(type, "from Sunday as 1") if type
            ["day of the week of #{day}", first].compact.join(", ")
          end,
          "days" => ->(last, first) { "days from #{first} to #{last}" },
          "time" => ->(hour, minute, second) do
            if minute
              "time #{[hour, minute, second].compact.map { |part| part.rjust(2, "0") }.join(":")}"
            else
              "time of #{hour}"
            end
          end,
          "hour" => ->(time) { "hour of #{time}" },
          "minute" => ->(time) { "minute of #{time}" },
          "weeknum" => ->(day, mode) { "week of the year of #{day}#{" after ISO 8601" if mode == "21"}" },
          "workdays" => ->(first, last) { "working days from #{first} to #{last}" },
          "edate" => ->(day, months) { "#{months} months after #{day}" },
          "eomonth" => ->(day, months) do
            if months == "0"
              "last day of the month of #{day}"
            else
              "last day of the month #{months} months after #{day}"
            end
          end,
          "coalesce" => ->(*values) { "first non-blank value of #{listed(values)}" },
          "changed" => ->(field) { "#{field} changed" },
          "counter" => ->(digits) { "#{digits}-digit count" }
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

        def counted(which, count) = (count.nil? || count == "1") ? "#{which} character" : "#{which} #{count} characters"

        def places(count)
          return TENS["0"] if count.nil?

          TENS.fetch(count.tr("−", "-")) { "#{count} #{(count == "1") ? "decimal" : "decimals"}" }
        end

        def listed(values) = (values.length > 1) ? "#{values[0...-1].join(", ")} and #{values.last}" : values.join
      end
    end
  end
end
