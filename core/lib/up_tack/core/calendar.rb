# frozen_string_literal: true

module UpTack
  module Core
    # Days of the calendar that ISO 8601 uses for every year: the Gregorian one, also before it
    # was introduced. Ruby's own default counts days before 15 October 1582 by the Julian calendar.
    module Calendar
      START = ::Date::GREGORIAN

      module_function

      # @param year [Integer]
      # @param month [Integer]
      # @param day [Integer] negative to count from the end of the month
      # @return [Date]
      # @raise [Date::Error] for a day that does not exist
      def day(year, month, day) = ::Date.new(year, month, day, START)

      # @return [Boolean] whether the day exists
      def valid?(year, month, day) = ::Date.valid_date?(year, month, day, START)

      # @param text [String] after ISO 8601
      # @return [Date]
      # @raise [Date::Error]
      def iso8601(text) = ::Date.iso8601(text, START)

      # @param number [Integer] of a day, as Date#jd gives it
      # @return [Date]
      def numbered(number) = ::Date.jd(number, START)

      # @param time [Time]
      # @return [Date] the day that the time itself shows, whatever its zone
      def date_of(time) = day(time.year, time.month, time.day)

      # @param date [Date] from elsewhere
      # @return [Date] the day of the same year, month and day
      def same(date) = (date.start == START) ? date : day(date.year, date.month, date.day)
    end
  end
end
