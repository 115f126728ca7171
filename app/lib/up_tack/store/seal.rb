# frozen_string_literal: true

module UpTack
  module Store
    # Each entry of the change log, and each event, carries a seal: HMAC-SHA256 (RFC 2104, FIPS 180-4) under
    # the log's key over the seal of the one before and all that it says. Whoever changes, removes or slips
    # one in breaks the chain from there on, and can't mend it without the key.
    module Seal
      # What stands before the first entry.
      BEGINNING = "0" * 64
      # The columns that are sealed. The last is JSON already and taken as it is.
      COLUMNS = %w[
        id
        made_at
        person_id
        person_name
        way
        action
        table_id
        record_id
        record_title
        revision_id
        passed
        followed
        batch_id
        differences
      ].freeze
      HELD = :up_tack_seal

      module_function

      # @param before [String] seal of the entry before
      # @param entry [Array] values of COLUMNS, in that order
      # @param key [LogKey::Key]
      # @return [String] 64 hexadecimal figures
      def compute(before, entry, key)
        under(key)
          .reset
          .update(before)
          .update("\n")
          .update(JSON.generate(entry[0...-1]))
          .update("\n")
          .update(entry.last.to_s)
          .hexdigest
      end

      # @param parts [Array<Object>] whatever JSON can say
      # @return [String] the same over that
      def over(parts, key) = under(key).reset.update(JSON.generate(parts)).hexdigest

      # As earlier versions sealed entries, without a key.
      # @return [String]
      def unkeyed(before, entry) = Digest::SHA256.hexdigest("#{before}\n#{JSON.generate(entry[0...-1])}\n#{entry.last}")

      # One for each thread: making it takes as long as an entry.
      def under(key)
        held = Thread.current[HELD]
        return held.last if held && held.first.equal?(key)

        (Thread.current[HELD] = [key, OpenSSL::HMAC.new(key.bytes, "SHA256")]).last
      end
    end
  end
end
