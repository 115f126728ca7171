# frozen_string_literal: true

module UpTack
  module UseCases
    module People
      # Where people are signed in: everybody's own, and for builders those of all.
      class Sessions
        # @param person [Store::Person] who asks
        # @param here [Integer, nil] number of the session that asks; nil for a script
        def initialize(person, here: nil)
          @person = person
          @here = here
        end

        # @return [Array<Store::Session>] those that are not over, the one used last first
        def all = visible.includes(:person).order(seen_at: :desc).to_a

        # @param id [Integer]
        # @raise [Store::NotFound]
        def stop(id)
          finish(
            visible.find_by(id: id) ||
              raise(Store::NotFound, Core::Messages["people.sessions.there_is_no_such_session"])
          )
        end

        # All of one's own but the one that asks.
        # @return [void]
        def stop_others =
          Store::Session
            .going
            .where(person_id: @person.id)
            .where.not(id: @here)
            .find_each { |session| finish(session) }

        private

        def visible = @person.builder? ? Store::Session.going : Store::Session.going.where(person_id: @person.id)

        def finish(session)
          Store::Database.write do
            session.delete
            Store::Event.add(
              "session_ended",
              {"whose" => session.person_id, "device" => session.device},
              person: @person
            )
          end
        end
      end
    end
  end
end
