# frozen_string_literal: true

module UpTack
  module Interchange
    # Whether a column has a value twice, told of all rows of a file in little memory: eight bytes are kept of each
    # value, and nothing once one has come again.
    class Repeats
      # Values that are compared as they come. Those after them are compared at the end.
      SOON = 10_000
      # Values that are kept of all columns of a file. Of more nobody says that they are all different.
      MOST = 10_000_000
      BYTES = 8

      # @param most [Integer] values that are kept
      def initialize(most = MOST)
        @most = most
        @seen = Set.new
        @later = "".b
        @found = false
      end

      # @param text [String]
      # @return [void]
      def add(text)
        return if @found

        hash = text.hash
        if @seen.length < SOON
          @found = !@seen.add?(hash)
        else
          @later << [hash].pack("q")
          @found = @seen.include?(hash) || @later.bytesize > @most * BYTES
        end
        forget if @found
      end

      # @return [Boolean] whether one has come twice; asked when all have come
      def any?
        unless @later.empty?
          @found = twice?(@later.unpack("q*").sort!)
          forget
        end
        @found
      end

      private

      def forget
        @seen = Set.new
        @later = "".b
      end

      def twice?(sorted)
        before = nil
        sorted.any? { |each| (each == before).tap { before = each } }
      end
    end
  end
end
