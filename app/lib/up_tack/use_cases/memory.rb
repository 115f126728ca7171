# frozen_string_literal: true

module UpTack
  module UseCases
    # Remembers the latest answers to questions that are dear to answer, for all
    # requests of this process. A key says all on which an answer depends.
    class Memory
      # @param most [Integer] answers remembered
      def initialize(most)
        @most = most
        @mutex = Mutex.new
        @known = {}
        Store::Database.on_replace { clear }
      end

      # Forgets all of them.
      def clear = @mutex.synchronize { @known.clear }

      # @return [Object] what is remembered, or what the block gives
      def fetch(key)
        @mutex.synchronize { return @known[key] = @known.delete(key) if @known.key?(key) }
        found = yield
        @mutex.synchronize do
          @known[key] = found
          @known.shift while @known.length > @most
        end
        found
      end
    end
  end
end
