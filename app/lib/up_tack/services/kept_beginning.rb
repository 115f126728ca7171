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
          ids = query.page(KeptBeginning::LENGTH + 1)
          new(ids: ids.first(KeptBeginning::LENGTH), whole: ids.length <= KeptBeginning::LENGTH)
        end

        # @param length [Integer]
        # @return [Boolean] whether it tells of so many records, or of all
        def reaches?(length) = whole || ids.length >= length

        # @param query [Store::Query]
        # @param changed [Array<Integer>] records that may have another place by now
        # @return [KeptBeginning] as it is now, mostly a little shorter
        def with(query, changed)
          stay = ids - changed
          return KeptBeginning.new(ids: [], whole: false) if stay.empty? && !whole

          following = query.page_among(stay | changed, KeptBeginning::LENGTH + 1)
          return cut_after(stay.last, following) unless whole

          length = KeptBeginning::LENGTH
          KeptBeginning.new(ids: following.first(length), whole: following.length <= length)
        end

        private

        # Behind the last that was known, records may stand that are not.
        def cut_after(last, following)
          place = following.index(last)
          KeptBeginning.new(ids: following.first([place ? place + 1 : following.length, self.class::LENGTH].min),
            whole: false)
        end
      end
    # Records that are remembered: to find so many takes no longer than to find one. Changed ones that are looked at.
    KeptBeginning::LENGTH = 5_000
    KeptBeginning::MOST_SAVES = 20_000
  end
end
