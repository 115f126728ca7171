# frozen_string_literal: true

module UpTack
  module UseCases
    module History
      # The change log as programs follow it: entries from a place on, in the order in which they were written. Each
      # entry is given once to whoever goes on from the place that the last answer named.
      class Changes
        # entries:: Store::Entries, oldest first; place:: from where to go on; more:: whether there are more already
        Page = Struct.new(:entries, :place, :more, keyword_init: true)

        # A place of a log that was replaced, by a restore.
        class Restored < StandardError
          def initialize = super(Core::Messages["history.changes.database_was_restored"])
        end

        # The place after all that there is.
        NOW = "now"

        # @return [String] where the log begins
        def self.first = place(0)

        # @return [String] behind all that was written so far
        def self.latest = place(Store::ChangeLog.latest)

        # An entry has its number in the transaction that writes it, and only one writes at a time, so that none
        # appears before one that was there already.
        def self.place(number) = "#{Store::Settings["generation_all"] || 0}-#{number}"

        # @param seen [Array<String>, nil] ids of tables that may be told of, nil for all
        def initialize(seen: nil)
          @seen = seen
        end

        # @param place [String] as an earlier page named it
        # @return [Boolean] whether something was written since
        # @raise [Restored, Core::Invalid]
        def any?(place) = scope(number(place), Store::ChangeLog.latest).exists?

        # @param place [String] as an earlier page named it
        # @param limit [Integer]
        # @return [Page]
        # @raise [Restored, Core::Invalid]
        def page(place, limit)
          last = Store::ChangeLog.latest
          found = scope(number(place), last).includes(:batch).order(:id).limit(limit + 1).to_a
          more = found.length > limit
          found = found.first(limit)
          Page.new(entries: found, place: Changes.place(more ? found.last.id : [last, number(place)].max), more: more)
        end

        private

        # @return [Integer] of the entry after which to go on
        def number(place)
          generation, number = place.to_s.match(/\A(\h+)-(\d{1,18})\z/)&.captures
          Core::Invalid.because(Core::Messages["history.changes.no_such_place"], part: "after") unless number
          raise Restored unless Changes.place(number) == "#{generation}-#{number}"

          number.to_i
        end

        def scope(after, last)
          scope = Store::Entry.where("up_tack_entries.id > ? AND up_tack_entries.id <= ?", after, last)
          @seen ? scope.by_number(@seen) : scope
        end
      end
    end
  end
end
