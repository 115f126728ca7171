# frozen_string_literal: true

module UpTack
  module Core
    # A time of day without a date, to the second.
    class DayTime
      include Comparable

      # @return [Integer] seconds since midnight, 0 to 86399
      attr_reader :seconds

      # @param text [String] "9:30", "09:30:15"
      # @return [DayTime, nil]
      def self.read(text)
        match = /\A(\d{1,2}):(\d{2})(?::(\d{2}))?\z/.match(text) or return
        at(*match.captures.map(&:to_i))
      end

      # @return [DayTime, nil] nil for a time that there is not
      def self.at(hour, minute, second = 0)
        if hour.between?(0, 23) && minute.between?(0, 59) && second.between?(0, 59)
          new((hour * 3600) + (minute * 60) + second)
        end
      end

      def initialize(seconds)
        @seconds = seconds
        freeze
      end

      def hour = seconds / 3600
      def minute = seconds / 60 % 60
      def second = seconds % 60
      def <=>(other) = other.is_a?(DayTime) ? seconds <=> other.seconds : nil
      def eql?(other) = other.is_a?(DayTime) && seconds == other.seconds
      def hash = seconds.hash

      # @return [String] after ISO 8601, "09:30:00"
      def iso8601 = format("%02d:%02d:%02d", hour, minute, second)

      # @return [String] as people read it, "09:30", with seconds where there are some
      def to_s = second.zero? ? format("%02d:%02d", hour, minute) : iso8601
    end
  end
end
