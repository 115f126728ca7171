# frozen_string_literal: true

module UpTack
  module Store
    # Somebody's signing in, for as long as it lasts. The browser holds a token
    # that is kept here only as its digest; ending the row ends the session,
    # whatever copies of the token there are.
    class Session < SystemRecord
      self.table_name = "up_tack_sessions"
      belongs_to :person, class_name: "UpTack::Store::Person"

      # Seconds without a request after which a session is over.
      IDLE = 7 * 24 * 60 * 60
      # Seconds after which it is over in any case.
      LONGEST = 30 * 24 * 60 * 60
      # Seconds for which a password that was typed again counts.
      CONFIRMED = 5 * 60
      # Seconds between two notes of when it was last used.
      NOTED = 15 * 60

      # @param device [String, nil] what it is used on, in words
      # @return [Array(Session, String)] and the token
      def self.begin(person, now: Time.now.utc, device: nil)
        token = SecureRandom.urlsafe_base64(32)
        Database.write do
          where("seen_at < ? OR made_at < ?", now - IDLE, now - LONGEST).delete_all
          [create!(person: person, digest: digest(token), made_at: now, seen_at: now, device: device), token]
        end
      end

      # @return [ActiveRecord::Relation] those that are not over
      def self.going(now: Time.now.utc) = where("seen_at >= ? AND made_at >= ?", now - IDLE, now - LONGEST)

      # @return [Session, nil] one that is not over
      def self.authenticate(token, now: Time.now.utc)
        found = at_once(:digest, digest(token)) or return
        found.association(:person).target = Person.at_once(:id, found.person_id)
        return if found.seen_at < now - IDLE || found.made_at < now - LONGEST

        Database.write { found.update_columns(seen_at: now) } if found.seen_at < now - NOTED
        found
      end

      # The password was typed again.
      # @return [void]
      def confirm(now: Time.now.utc) = Database.write { update_columns(confirmed_at: now) }

      # @return [Boolean] whether the password was typed again a moment ago
      def confirmed?(now: Time.now.utc) = !confirmed_at.nil? && confirmed_at > now - CONFIRMED

      def self.digest(token) = Digest::SHA256.hexdigest(token)
    end
  end
end
