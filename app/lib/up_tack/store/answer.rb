# frozen_string_literal: true

module UpTack
  module Store
    # What a write with an Idempotency-Key was answered, kept in the same transaction as
    # what it did: whoever asks again under that key gets the same answer, and nothing is
    # done twice.
    class Answer < SystemRecord
      self.table_name = "up_tack_answers"
      # Seconds for which they are kept.
      KEPT = 24 * 60 * 60

      def self.forget_old(now: Time.now.utc) = where("made_at < ?", now - KEPT).delete_all
    end
  end
end
