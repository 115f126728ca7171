# frozen_string_literal: true

module UpTack
  module Recalculation
    # Which records of which calculated fields must be worked out again. Few are
    # known by number; many are simply all, so that it takes no more memory to
    # know them.
    class Dirty
      # Records of one field that are told apart.
      MOST = 20_000

      def initialize
        @records = {}
      end

      # @param place [Array(String, String)] table and field
      # @param ids [Enumerable<Integer>, :all]
      def add(place, ids)
        known = @records[place]
        return if known == :all
        return @records[place] = :all if ids == :all

        known ||= Set.new
        known.merge(ids)
        @records[place] = (known.length > MOST) ? :all : known
      end

      # @return [Array<Integer>, :all, nil] and forgets them
      def take(place)
        found = @records.delete(place)
        return found if found.nil? || found == :all

        found.empty? ? nil : found.to_a
      end

      def places = @records.keys
    end
  end
end
