# frozen_string_literal: true

module UpTack
  module UseCases
    module People
      # The security log, as builders read it.
      module SecurityLog
        # Events of a page.
        PAGE = 50

        # @param before [Integer, nil] number of an event; only older ones
        # @return [Array<Store::Event>] the newest first
        def self.page(before: nil)
          Store::Event.flush
          events = Store::Event.where.not(kind: Store::Event::SILENT).order(id: :desc).limit(PAGE)
          (before ? events.where("id < ?", before) : events).to_a
        end
      end
    end
  end
end
