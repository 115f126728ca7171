# frozen_string_literal: true

module UpTack
  module Store
    # Each entry of the change log carries a seal: SHA-256 (FIPS 180-4) over the
    # seal of the entry before it and all that the entry says. Whoever changes,
    # removes or slips in an entry breaks the chain from there on.
    module Seal
      # What stands before the first entry.
      BEGINNING = "0" * 64
      # The columns that are sealed, of an entry and of each of its changes.
      ENTRY = %w[id made_at person_id person_name way action table_id record_id record_title revision_id passed followed batch_id].freeze
      CHANGE = %w[field_id field_label type before after rule_id].freeze

      module_function

      # @param before [String] seal of the entry before
      # @param entry [Array] values of ENTRY, in that order
      # @param changes [Array<Array>] values of CHANGE of each, in their order
      # @return [String] 64 hexadecimal figures
      def of(before, entry, changes) = of_texts(before, JSON.generate(entry), JSON.generate(changes))

      # The same with both already written as JSON.
      def of_texts(before, entry, changes) = OpenSSL::Digest::SHA256.hexdigest("#{before}\n#{entry}\n#{changes}")
    end
  end
end
