# frozen_string_literal: true

module UpTack
  module Store
    # By what a script comes in as a person, in a role of its own that is never more than
    # the person's, until it ends. Kept only as a digest, like sessions.
    class Token < SystemRecord
      self.table_name = "up_tack_tokens"
      include Vouched

      belongs_to :person, class_name: "UpTack::Store::Person"

      # What each begins with, so that one that was left lying about is known for what it is.
      MARK = "uptack_"
      # Roles, the least first.
      ROLES = %w[reader clerk builder].freeze
      # Days that one may last, and seconds between two notes of when it was last used.
      MOST_DAYS = 730
      NOTED = 60

      # @return [Array(Token, String)] and the token itself, which is not kept
      def self.make(person, name:, role:, days:, now: Time.now.utc)
        text = MARK + SecureRandom.urlsafe_base64(32)
        Database.write do
          made =
            create!(
              person: person,
              name: name,
              role: role,
              digest: Session.digest(text),
              made_at: now,
              ends_at: now + (days * 86_400)
            )
          made.vouch("token_made", {"name" => name, "role" => role}, person: person)
          [made, text]
        end
      end

      # Ends all that somebody has.
      # @param why [String] in words, for the security log
      # @param by [Person, nil]
      # @return [void]
      def self.end_all(person, why:, by: nil) =
        where(person_id: person.id).find_each { |token| token.revoke(why: why, by: by) }

      # @return [void]
      def revoke(why:, by: nil)
        delete
        vouch_end("token_ended", {"name" => name, "why" => why, "whose" => person_id}, person: by)
      end

      # @param text [String]
      # @return [Token, nil] one that has not ended, of somebody who may still come in
      def self.authenticate(text, now: Time.now.utc)
        found = at_once(:digest, Session.digest(text)) or return
        found.association(:person).target = Person.at_once(:id, found.person_id)
        return if found.ends_at <= now || !found.person.active

        Database.write { found.update_columns(seen_at: now) } if found.seen_at.nil? || found.seen_at < now - NOTED
        found
      end

      # @return [Person] as whom it acts: the person, with no more than both roles allow
      def actor
        person.dup.tap do |acting|
          acting.id = person.id
          acting.role = [role, person.role].min_by { |each| ROLES.index(each) }
          acting.readonly!
        end
      end
    end
  end
end
