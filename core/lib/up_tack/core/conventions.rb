# frozen_string_literal: true

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

      # @return [Hash{String=>String}]
      def to_plain = to_h.transform_keys(&:to_s)
    end
  end
end
