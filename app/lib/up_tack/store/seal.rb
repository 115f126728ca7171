# frozen_string_literal: true

module UpTack
  module Store
    # Each entry of the change log carries a seal: SHA-256 (FIPS 180-4) over the
    # seal of the entry before it and all that the entry says. Whoever changes,
    # removes or slips in an entry breaks the chain from there on.
    module Seal
      # What stands before the first entry.
      BEGINNING = "0" * 64
      # The columns that are sealed. The last is JSON already and taken as it is.
      COLUMNS = %w[id made_at person_id person_name way action table_id record_id record_title revision_id passed followed batch_id differences].freeze

      module_function

      # @param before [String] seal of the entry before
      # @param entry [Array] values of COLUMNS, in that order
      # @return [String] 64 hexadecimal figures
      def of(before, entry) = over(before, JSON.generate(entry[0...-1]), entry.last)

      # The same of what is written as JSON already.
      # @param head [String] all values of COLUMNS but the last
      # @param differences [String] the last
      def over(before, head, differences) = digest.reset.update(before).update("\n").update(head).update("\n").update(differences).hexdigest!

      # One for each thread: making it takes as long as an entry.
      def digest = Thread.current[:up_tack_seal] ||= OpenSSL::Digest.new("SHA256")
    end
  end
end
