# frozen_string_literal: true

require "tzinfo"

module UpTack
  module Core
    # How a firm writes: in which order the parts of a date stand and which
    # marks a number uses. Reading what was typed and showing what is kept both
    # follow it.
    #
    # date_order:: "dmy", "mdy" or "ymd", for dates typed in figures
    # decimal_mark:: "." or ","
    # group_mark:: what may stand between thousands, "," "." or " "
    # time_zone:: name in the tz database, such as "Europe/Dublin"
    Conventions = Struct.new(:date_order, :decimal_mark, :group_mark, :time_zone, keyword_init: true) do
      # @param hash [Hash{String=>String}] any of the four members
      # @return [Conventions] with the defaults for what is missing
      def self.from(hash)
        new(
          date_order: hash.fetch("date_order", "dmy"),
          decimal_mark: hash.fetch("decimal_mark", "."),
          group_mark: hash.fetch("group_mark", ","),
          time_zone: hash.fetch("time_zone", "Etc/UTC")
        ).freeze
      end

      # @param moment [Time]
      # @return [Time] as the firm's clocks show it
      def local(moment) = zone.to_local(moment.getutc)

      # @param day [Date]
      # @param time [DayTime]
      # @return [Array<Array(Time, String)>] the moments, in UTC, at which the firm's
      #   clocks show this, each with the zone's short name then: two when the clocks
      #   go back over it, none when they go forward
      def moments(day, time)
        wall = Time.utc(day.year, day.month, day.day, time.hour, time.minute, time.second)
        zone
          .periods_for_local(wall)
          .map { |period| [(wall - period.observed_utc_offset).getutc, period.abbreviation.to_s] }
          .sort_by(&:first)
      end

      # @return [Hash{String=>String}]
      def attributes = to_h.transform_keys(&:to_s)

      private

      def zone = TZInfo::Timezone.get(time_zone)
    end
  end
end
