# frozen_string_literal: true

module UpTack
  module Interchange
    module Readers
      module Sheets
        # Days and times of a spreadsheet, as their cells show them. A spreadsheet keeps them as a number of days,
        # a binary fraction; what it shows is the nearest second.
        module ShownTime
          DAY = 86_400
          # What is no sign of a number format (ISO/IEC 29500-1, 18.8.31): texts, colours, conditions and fillers.
          APART = /"[^"]*"|\\.|_.|\*.|\[(?!(?:h+|m+|s+)\])[^\]]*\]/i
          ELAPSED = /\[(?:h+|m+|s+)\]/i

          module_function

          # @param format [String] of a number
          # @return [Symbol] :number, :elapsed, :clock, :date or :moment
          def kind(format)
            @kinds ||= {}
            @kinds[format] ||= begin
              signs = format.split(";").first.to_s.gsub(APART, "")
              timed = signs.match?(/[hs]/i)
              if signs.match?(ELAPSED) then :elapsed
              elsif signs.match?(/General|[#0?]/i) && !signs.match?(/[hsdy]/i) then :number
              elsif signs.match?(/[dy]/i) || (signs.match?(/m/i) && !timed) then timed ? :moment : :date
              else
                timed ? :clock : :number
              end
            end
          end

          # @param days [Float] since the first day that the spreadsheet counts
          # @param format [String]
          # @param first [Date]
          # @return [Date, Time, String]
          def read(days, format, first)
            seconds = (days * DAY).round
            case kind(format)
            when :elapsed then clock(seconds)
            when :clock then clock(seconds % DAY)
            when :date then first + (seconds / DAY)
            else moment(first, seconds)
            end
          end

          # @return [String] hours may be more than a day's
          def clock(seconds)
            sign = seconds.negative? ? "-" : ""
            hours, rest = seconds.abs.divmod(3_600)
            text = format("%s%02d:%02d", sign, hours, rest / 60)
            (rest % 60).zero? ? text : format("%s:%02d", text, rest % 60)
          end

          # @return [Date, Time] a day where it is midnight
          def moment(first, seconds)
            day = first + (seconds / DAY)
            rest = seconds % DAY
            rest.zero? ? day : Time.utc(day.year, day.month, day.day) + rest
          end
        end
      end
    end
  end
end
