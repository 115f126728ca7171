# frozen_string_literal: true

module UpTack
  module Store
    # What a write with an Idempotency-Key was answered. That it was done is noted in the same
    # transaction as what it did, the answer as soon as it is known: whoever asks again under that
    # key gets the same answer, and nothing is done twice.
    class IdempotentResponse < SystemRecord
      self.table_name = "up_tack_answers"
      # Seconds for which they are kept.
      KEPT = 24 * 60 * 60
      # What stands there until the answer is known.
      DONE = {status: 0, headers: "{}", body: ""}.freeze

      class << self
        def forget_old(now: Time.now.utc) = where("made_at < ?", now - KEPT).delete_all

        # One request after the other under a key, whatever process has it; those of other keys go on beside it.
        # @yield
        def alone(caller, key, &work) = Shared.alone("once #{caller} #{key}", &work)
      end

      # Noted once, by whatever is written first.
      # @return [void]
      def done
        return if persisted?

        IdempotentResponse.forget_old
        update!(DONE.merge(made_at: Time.now.utc))
      end

      # @return [Boolean] whether the answer is known
      def answered? = !status.zero?

      # Where the machine stops right now the answer may be lost, and not that it was done: so nobody waits
      # until it is on the disk.
      # @return [void]
      def answer(status, headers, body)
        Database.write(soon: true) do
          # Another process may have noted that it was done.
          (IdempotentResponse.find_by(names) || self).update!(status: status, headers: JSON.generate(headers),
            body: body, made_at: made_at || Time.now.utc)
        end
      end

      # @return [void]
      def forget
        Database.write { delete } if persisted?
      end

      # @return [Hash{String=>String}] what it is of
      def names = attributes.slice("caller", "key", "request")
    end
  end
end
