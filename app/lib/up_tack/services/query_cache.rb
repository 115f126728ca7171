# frozen_string_literal: true

module UpTack
  module Services
    # Remembers the latest answers to questions that are dear to answer, for all
    # requests of this process. A key says all on which an answer depends: an Array of what is asked, a number that
    # rises whenever the answer may become another one, and more parts.
    class QueryCache
      # @param most [Integer] answers remembered
      def initialize(most)
        @most = most
        @mutex = Mutex.new
        @turns = Array.new(16) { Mutex.new }
        @known = {}
        @coming = {}
        Store::Generation.on("all") { clear }
      end

      # Forgets all of them.
      def clear = @mutex.synchronize { @known.clear }

      # @return [Object] what is remembered, or what the block gives
      def fetch(key)
        coming = @mutex.synchronize do
          return @known[key] = @known.delete(key) if @known.key?(key)

          @coming[key]
        end
        coming&.value || keep(key, yield)
      end

      # @param base [Object] the first part of keys whose second part rises
      # @param more [Array<Object>] their other parts
      # @return [Array(Integer, Object), nil] the second part of the latest of them, and its answer
      def latest(base, *more)
        @mutex.synchronize do
          found = @known.filter_map { |(first, second, *rest), answer|
            [second, answer] if rest == more && first == base
          }
          found.max_by(&:first)
        end
      end

      # One of those who need the same goes first, and the others find what came of it.
      # @param base [Object] the first part of keys
      # @yield
      def in_turn(base, &) = @turns[base.hash % @turns.length].synchronize(&)

      # Remembers an answer in the place of those that it follows.
      # @return [Object] the answer
      def keep(key, found)
        @mutex.synchronize do
          @known.delete_if { |(first, second, *rest), _| first == key[0] && rest == key[2..] && second < key[1] }
          @known[key] = found
          @known.shift while @known.length > @most
        end
        found
      end

      # Begins to answer a question that will be asked soon; whoever asks it meanwhile waits.
      # @yield gives the answer, nil where there is none
      def ahead(key)
        @mutex.synchronize do
          return if @known.key?(key) || @coming.any?

          @coming[key] = Thread.new do
            found = yield
            found && keep(key, found)
          ensure
            @mutex.synchronize { @coming.delete(key) }
          end
        end
      end

      # Waits for what is on its way.
      def wait = @mutex.synchronize { @coming.values }.each(&:join)
    end
  end
end
