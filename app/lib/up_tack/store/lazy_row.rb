# frozen_string_literal: true

module UpTack
  module Store
    # The values of one stored record, each read from its column when it is first
    # asked for: a formula that reads two of forty fields pays for two.
    class LazyRow
      # @param layout [Hash{String=>Array(Integer, Proc)}] places and readers by field key
      # @param raw [Array] what the columns hold
      def initialize(layout, raw)
        @layout = layout
        @raw = raw
        @values = {}
      end

      # @return [Object, nil]
      # @raise [KeyError] for a field that was not read: it must not pass for blank
      def [](key)
        return @values[key] if @values.key?(key)

        place, reader = @layout.fetch(key)
        raw = @raw[place]
        @values[key] = raw.nil? ? nil : reader.call(raw)
      end

      # @yield for a field that the record does not bring along
      def fetch(key, default = nil)
        return self[key] if @layout.key?(key)

        block_given? ? yield(key) : default
      end

      def key?(key) = @layout.key?(key)

      # @return [Hash{String=>Object}]
      def to_h = @layout.keys.to_h { |key| [key, self[key]] }
    end
  end
end
