# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # Writes days, hours and numbers by a pattern after Unicode CLDR (UTS #35):
      # "EEE d MMM yyyy", "HH:mm", "#,##0.00". Text stands in single quotes.
      module Patterns
        LONGEST = 200
        DAYS = %w[Sunday Monday Tuesday Wednesday Thursday Friday Saturday].freeze
        # What each letter of a date pattern writes, by how often it stands.
        DATE = {
          "y" => ->(at, count) { (count == 2) ? at.strftime("%y") : at.year.to_s.rjust(count, "0") },
          "M" => ->(at, count) { month(at.month, count) },
          "L" => ->(at, count) { month(at.month, count) },
          "d" => ->(at, count) { at.day.to_s.rjust(count, "0") },
          "E" => ->(at, count) {
            if count == 4
              DAYS[at.wday]
            else
              DAYS[at.wday][0, (count == 5) ? 1 : 3]
            end
          },
          "w" => ->(at, count) { at.strftime("%V").to_i.to_s.rjust(count, "0") },
          "D" => ->(at, count) { at.yday.to_s.rjust(count, "0") },
          "Q" => ->(at, count) { (count >= 3) ? "Q#{((at.month - 1) / 3) + 1}" : (((at.month - 1) / 3) + 1).to_s.rjust(count, "0") }
        }.freeze
        TIME = {
          "H" => ->(at, count) { at.hour.to_s.rjust(count, "0") },
          "h" => ->(at, count) { (((at.hour - 1) % 12) + 1).to_s.rjust(count, "0") },
          "m" => ->(at, count) { minute(at).to_s.rjust(count, "0") },
          "s" => ->(at, count) { second(at).to_s.rjust(count, "0") },
          "a" => ->(at, _) { (at.hour < 12) ? "am" : "pm" }
        }.freeze
        NUMBER = /[#0][#0,]*(?:\.[0#]+)?/

        # A pattern that can't be used for the value.
        class Invalid < StandardError; end

        class << self
          # @param value [BigDecimal, Date, Time, DayTime]
          # @param pattern [String]
          # @return [String]
          # @raise [Invalid]
          def write(value, pattern)
            check(pattern)
            value.is_a?(BigDecimal) ? number(value, pattern) : letters(value, pattern)
          end

          # @return [nil]
          # @raise [Invalid] for a pattern that nothing can be written by
          def check(pattern)
            raise Invalid, "A pattern has at most #{LONGEST} characters." if pattern.length > LONGEST
            raise Invalid, "A text in the pattern is not closed; a single quote is missing." if pattern.count("'").odd?
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

          def minute(at) = at.is_a?(DayTime) ? at.minute : at.min
          def second(at) = at.is_a?(DayTime) ? at.second : at.sec

          private

          def letters(value, pattern)
            known = known_letters(value)
            pattern.gsub(/''|'((?:[^']|'')*)'|([A-Za-z])\2*/) do |run|
              next "'" if run == "''"
              next $1.gsub("''", "'") if $1

              write = known[run[0]] or raise Invalid, "The letter `#{run[0]}` has no meaning in a pattern for this; text stands in single quotes."
              write.call(value, run.length)
            end
          end

          def known_letters(value)
            case value
            when DayTime then TIME
            when ::Time then DATE.merge(TIME)
            else DATE
            end
          end

          def number(value, pattern)
            place = pattern.match(NUMBER) or raise Invalid, "A pattern for a number needs a `0` or `#`, as in `#,##0.00`."
            percent = pattern.include?("%")
            figures = figures(percent ? value * 100 : value, place[0])
            sign = (figures.match?(/[1-9]/) && value.negative?) ? "-" : ""
            sign + unquoted(place.pre_match) + figures + unquoted(place.post_match)
          end

          def figures(value, shape)
            whole_shape, decimals_shape = shape.split(".")
            decimals_shape = decimals_shape.to_s
            rounded = Numbers.round(value.abs, decimals_shape.length)
            whole, decimals = Numbers.plain(rounded).split(".")
            decimals = decimals.to_s.ljust(decimals_shape.count("0"), "0")
            whole = whole.sub(/\A0\z/, "").rjust(whole_shape.count("0"), "0")
            whole = whole.gsub(/(\d)(?=(\d{3})+\z)/, "\\1,") if whole_shape.include?(",")
            decimals.empty? ? whole : "#{whole}.#{decimals}"
          end

          def unquoted(text) = text.gsub(/''|'([^']*)'/) { $1 || "'" }
        end
      end
    end
  end
end
