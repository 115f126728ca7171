# frozen_string_literal: true

module UpTack
  module Services
    # The records with which an order begins. Where many are saved, an order of hundreds of thousands need not be found
    # again for each look at its first pages: those with which it began are put in order with those that were changed.
    # ids:: of the records; whole:: whether none come after them
    KeptBeginning =
      Struct.new(:ids, :whole, keyword_init: true) do
        # @param query [Store::Query] which the database alone answers
        # @return [KeptBeginning] as it is now
        def self.look_up(query)
          ids = query.beginning(KeptBeginning::LENGTH + 1)
          new(ids: ids.first(KeptBeginning::LENGTH), whole: ids.length <= KeptBeginning::LENGTH)
        end

        # @param length [Integer]
        # @return [Boolean] whether it tells of so many records, or of all
        def reaches?(length) = whole || ids.length >= length

        # @param query [Store::Query]
        # @param changed [Array<Integer>] records that may have another place by now
        # @param length [Integer] how many are asked for
        # @return [KeptBeginning] as it is now, mostly a little shorter
        def with(query, changed, length)
          enough = [length, KeptBeginning::SHORT].max
          stay = ids.first(enough) - changed
          all = whole && ids.length <= enough
          return KeptBeginning.new(ids: [], whole: false) if stay.empty? && !all

          following = query.page_among(stay | changed, enough + 1)
          return KeptBeginning.new(ids: following.first(enough), whole: following.length <= enough) if all

          # Behind the last that stays where it was, there may be others that are not known.
          known = following.index(stay.last)&.succ || following.length
          KeptBeginning.new(ids: following.first([known, enough].min), whole: false)
        end
      end
    # Records that are remembered: to find so many takes no longer than to find one. As many as are put in order with
    # those that changed, and how many of these there may be.
    KeptBeginning::LENGTH = 5_000
    KeptBeginning::SHORT = 1_000
    KeptBeginning::MOST_SAVES = 20_000
  end
end
