# frozen_string_literal: true

module UpTack
  module Core
    # Interns equal objects and memoises what is derived from them; switches itself off when the hit rate is
    # low. Cells of many records are equal, so they are parsed, passed on and looked up once.
    class InternCache
      # Those remembered at a time, and bytes of a text that is.
      MOST = 1_000
      LONGEST = 200

      # @param very [Boolean] whether only the very same object counts as equal
      # @param most [Integer] how many are remembered at a time
      def initialize(very: false, most: MOST)
        @most = most
        @known = very ? {}.compare_by_identity : {}
        @asked = 0
      end

      # @param key [Object] which nobody changes any more
      # @yield [key] makes the object of it, the key itself without
      # @return [Object]
      def one(key)
        return block_given? ? yield(key) : key if @known.nil? || (key.is_a?(String) && key.bytesize > LONGEST)

        @asked += 1
        found = @known[key]
        return found unless found.nil?

        remember(key, block_given? ? yield(key) : key)
      end

      private

      # Remembering is worth it from about one in five that was known.
      def remember(key, made)
        if @known.length >= @most
          @known.clear
          @known = nil if @asked < @most + (@most / 4)
          @asked = 0
        end
        @known&.store(key, made)
        made
      end
    end
  end
end
