# frozen_string_literal: true

require "tzinfo"

module UpTack
  # The core's clock port: the machine's clock, or one set to a moment, read in
  # the firm's time zone.
  class Clock
    # @param zone [String] name in the tz database
    # @param at [Time, nil] a moment at which this clock stands still
    def initialize(zone, at: nil)
      @zone = TZInfo::Timezone.get(zone)
      @at = at && Time.at(at.to_r).utc
    end

    # @param zone [String]
    # @param text [String] day and hour at the firm, "2026-11-23T09:30"
    # @return [Clock, nil] standing still at that moment; nil if there is none such
    def self.stopped(zone, text)
      match = /\A(\d{4})-(\d{2})-(\d{2})(?:[T ](\d{2}):(\d{2}))?\z/.match(text.to_s) or return
      year, month, day, hour, minute = match.captures.map(&:to_i)
      return unless year.positive? && Core::Calendar.valid?(year, month, day) && hour < 24 && minute < 60

      new(zone, at: TZInfo::Timezone.get(zone).local_time(year, month, day, hour, minute) { |periods| periods.first })
    rescue TZInfo::PeriodNotFound
      new(zone, at: TZInfo::Timezone.get(zone).local_time(year, month, day, hour + 1, minute))
    end

    # @param seconds [Integer]
    # @return [String] in words: "2 days", "3 hours", "5 minutes"
    def self.span(seconds)
      count, unit =
        [[DAY, "day"], [3_600, "hour"], [60, "minute"], [1, "second"]].lazy
          .map { |length, name| [seconds / length, name] }
          .find { |number, _| number >= 1 } || [0, "second"]
      "#{count} #{unit}#{"s" unless count == 1}"
    end

    # @return [Time] in UTC
    def now = @at || @still || Time.now.utc

    # @return [Date] at the firm
    def today = day_at((@at || @still)&.to_i || Process.clock_gettime(Process::CLOCK_REALTIME, :second))

    # Shows the same moment as long as the block runs, in which many records are written as one.
    def still
      before = @still
      @still ||= now.freeze
      yield
    ensure
      @still = before
    end

    # @return [Date] the day of a moment, at the firm
    def day_of(time) = day_at(time.to_i)

    # @return [Time] the moment as the firm's clocks show it
    def local(time) = @zone.to_local(time.getutc)

    def pretend? = !@at.nil?

    # Seconds of a day.
    DAY = 86_400
    private_constant :DAY

    private

    # @param at [Integer] seconds since 1970, in UTC
    def day_at(at)
      seconds = at + offset(at)
      day = seconds.div(DAY)
      @day = [day, Core::Calendar.date_of(Time.at(seconds).utc)] unless @day&.first == day
      @day.last
    end

    # Seconds by which the firm's clocks differ from UTC; the same between two
    # changes of the clocks, so it is not looked up anew each time.
    def offset(seconds)
      return @offset if @period&.cover?(seconds)

      period = @zone.period_for(Time.at(seconds).utc)
      from, to = [period.start_transition, period.end_transition].map { |change| change&.at&.to_i }
      @period = (from || -Float::INFINITY)...(to || Float::INFINITY)
      @offset = period.observed_utc_offset
    end
  end
end
