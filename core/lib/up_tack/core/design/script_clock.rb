# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # The core's clock port standing still at a moment that somebody pretends, read
      # in the firm's time zone. It can be moved on, as a form left open sees it.
      class ScriptClock
        SHAPE = /\A(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})\z/

        # @param text [String] day and hour at the firm, "2026-11-23T09:30"
        # @return [Design::ScriptClock, nil] nil for a moment that there is not
        def self.at(text, conventions)
          match = SHAPE.match(text.to_s) or return
          year, month, day, hour, minute = match.captures.map(&:to_i)
          return unless Calendar.valid?(year, month, day) && hour < 24 && minute < 60

          moments = conventions.moments(Calendar.day(year, month, day), DayTime.at(hour, minute))
          # An hour that the clocks leave out is taken for that which follows.
          if moments.empty?
            moments =
              conventions.moments(Calendar.day(year, month, day), DayTime.at((hour + 1) % 24, minute))
          end
          moments.empty? ? nil : new(moments.first.first, conventions)
        end

        # @return [Time] in UTC
        attr_reader :now

        # @param now [Time]
        def initialize(now, conventions)
          @now = now
          @conventions = conventions
        end

        def today = day_of(now)
        def day_of(time) = Calendar.date_of(local(time))
        def local(time) = @conventions.local(time)

        # @return [Design::ScriptClock] so many days and hours later, by the clocks on the firm's wall
        def later(days: 0, hours: 0)
          there = local(now)
          moved = Design::ScriptClock.at((there.to_date + days).strftime("%Y-%m-%dT#{there.strftime("%H:%M")}"),
            @conventions)
          Design::ScriptClock.new(moved.now + (hours * 3_600), @conventions)
        end

        # @return [String] as `at` takes it
        def to_s = local(now).strftime("%Y-%m-%dT%H:%M")
      end
    end
  end
end
