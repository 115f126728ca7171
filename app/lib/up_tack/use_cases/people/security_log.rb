# frozen_string_literal: true

module UpTack
  module UseCases
    module People
      # The security log: what is written into it from outside, and how builders read it.
      module SecurityLog
        # Events of a page.
        PAGE = 50
        # Seconds for which the same refusal is not noted again, so that nobody fills the log.
        EVERY = 60

        class << self
          # @param before [Integer, nil] number of an event; only older ones
          # @return [Array<Store::Event>] the newest first
          def page(before: nil)
            Store::Event.flush
            events = Store::Event.where.not(kind: Store::Event::SILENT).order(id: :desc).limit(PAGE)
            (before ? events.where("id < ?", before) : events).to_a
          end

          # @param kind [String] of the event
          # @param facts [Hash{String=>Object}]
          # @return [void]
          def note(kind, facts = {}, person: nil) = Store::Event.add(kind, facts, person: person)

          # Without waiting for it to be written.
          # @return [void]
          def note_soon(kind, facts = {}, person: nil) = Store::Event.add_soon(kind, facts, person: person)

          # Who asked for what their role does not allow.
          # @param person [Store::Person]
          # @param operation [String] id of one of the API
          # @return [void]
          def note_refusal(person, operation)
            return unless due?([Store::Database.path, person.id, operation])

            note_soon("refused", {"operation" => operation}, person: person)
          end

          private

          def due?(place)
            name = "refused #{JSON.generate(place)}"
            Store::Shared.exclusively do
              next false if Store::Shared[name]

              Store::Shared.write(name, true, seconds: EVERY)
              true
            end
          end
        end
      end
    end
  end
end
