# frozen_string_literal: true

module UpTack
  module Store
    # One object for all that are equal: many records are alike in what rules gave them, and
    # what is the same object is handed over, and looked up, only once.
    class Alike
      # Those remembered at a time.
      MOST = 1_000

      def initialize
        @known = {}
      end

      # @param key [Object] which nobody changes any more
      # @yield [key] makes the object of it, the key itself without
      # @return [Object]
      def one(key)
        @known.clear if @known.length >= MOST
        @known.fetch(key) { @known[key] = block_given? ? yield(key) : key }
      end
    end
  end
end
