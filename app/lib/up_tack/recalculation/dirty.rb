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

      # @return [Array<Array(String, String)>] places of which all records are
      def all = @records.select { |_, ids| ids == :all }.keys

      # @return [Array<Integer>, :all, nil]
      def known(place) = @records[place]&.then { |ids| (ids == :all) ? ids : ids.to_a }

      # It need not be calculated after all.
      def drop(place) = @records.delete(place)
    end
  end
end
