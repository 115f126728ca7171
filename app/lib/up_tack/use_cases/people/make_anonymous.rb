# frozen_string_literal: true

module UpTack
  module UseCases
    module People
      # Takes a person's name out for good: of the list of people, of the log, and of what stamps wrote into
      # records. What they did stays, as that of "Person 7". Texts that somebody typed are the firm's own and
      # stay as they are; so do backups, until they are deleted.
      class MakeAnonymous
        # @param by [Store::Person] who does it
        def initialize(by:)
          @by = by
        end

        # @return [Store::Person]
        # @raise [Core::Invalid, Store::NotFound]
        def call(id)
          person = Store::Database.write { take_out(id).tap { Store::Generation.change("all") } }
          Store::Generation.forget("all")
          # What was there before stands in the journal until it is written into the file.
          Store::Database.connection.execute("PRAGMA wal_checkpoint(TRUNCATE)")
          person
        end

        private

        def take_out(id)
          person = Store::Person.find_by(id: id)
          raise Store::NotFound, Core::Messages["common.there_is_no_such_person"] if person.nil? || person.anonymous?

          if person.id == @by.id
            Core::Invalid.because(Core::Messages["people.make_anonymous.you_cant_make_yourself_anonymous"])
          end
          if person.active
            Core::Invalid.because(
              Core::Messages["people.make_anonymous.make_inactive_first", person: person.name],
              part: "active"
            )
          end
          names = Store::PersonNames.all_of(person.id)
          Store::PersonNames.forget_person(person.id)
          person.changed_by = @by
          person.update!(name: "Person #{person.id}", email: nil, sign_in: nil, password_digest: nil, active: false)
          Store::StampedNames.replace_all(names, person.name)
          Store::Session.where(person_id: person.id).delete_all
          Store::Token.end_all(person, why: "made anonymous", by: @by)
          Store::Notice.where(person_id: person.id).delete_all
          person
        end
      end
    end
  end
end
