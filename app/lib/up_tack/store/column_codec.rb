# frozen_string_literal: true

module UpTack
  module Store
    # How values lie in a column, and come back: by the way that their field type names (`cell`).
    module ColumnCodec
      # Days already read from their texts; records share few of them.
      DAYS = Hash.new do |known, raw|
        known.clear if known.length > 20_000
        known[raw] = Core::Calendar.day(raw[0, 4].to_i, raw[5, 2].to_i, raw[8, 2].to_i)
      end

      READ = {
        number: ->(raw) { raw.is_a?(Float) ? BigDecimal(raw, Core::Numbers::KEPT_DIGITS) : BigDecimal(raw.to_s) },
        day: ->(raw) { raw.is_a?(String) ? DAYS[raw] : Core::Calendar.same(raw) },
        yes_no: ->(raw) { [1, true, "t", "1"].include?(raw) },
        moment: ->(raw) { raw.is_a?(String) ? Time.utc(*raw.scan(/\d+/).first(6).map(&:to_i)) : raw },
        time: ->(raw) { Core::DayTime.read(raw) },
        integer: ->(raw) { raw.to_i }
      }.freeze
      AS_IS = ->(raw) { raw }

      WRITE = {
        number: ->(value) { value.scale.zero? ? value.to_i : value.to_s("F") },
        day: ->(value) { value.iso8601 },
        time: ->(value) { value.iso8601 },
        moment: ->(value) { second(value) },
        yes_no: ->(value) { value ? 1 : 0 }
      }.freeze

      module_function

      # Many records are stamped within one second.
      def second(time)
        held = @second
        held = @second = [time.to_i, time.getutc.strftime("%Y-%m-%d %H:%M:%S").freeze].freeze unless held&.first ==
          time.to_i
        held.last
      end

      # @param field [Core::Design::Field]
      # @return [Proc] from what a column holds, not NULL, to a value
      def reader(field) = field.bare ? field.bare.method(:dressed) : READ.fetch(field.values.cell, AS_IS)

      # @param field [Core::Design::Field]
      # @return [Proc, nil] from a value, not nil, to what a column takes; nil where it takes it as it is
      def writer(field) = field.bare ? field.bare.method(:bare) : WRITE[field.values.cell]

      # @param field [Core::Design::Field, nil] needed where its separators are left out
      # @return [Object] a value as a column takes it
      def write(value, field = nil)
        return field.bare.bare(value) if field&.bare && value

        case value
        when BigDecimal then WRITE.fetch(:number).call(value)
        when Core::DayTime, Date then value.iso8601
        when Time then WRITE.fetch(:moment).call(value)
        when true then 1
        when false then 0
        else value
        end
      end
    end
  end
end
