# frozen_string_literal: true

module UpTack
  module Store
    # Adds entries to the change log, each sealed onto the one before. Used inside
    # the transaction that writes the record, which nobody else can write beside.
    module LogWriter
      ENTRY = "INSERT INTO up_tack_entries (#{Seal::ENTRY.join(", ")}, seal) VALUES (#{(["?"] * (Seal::ENTRY.length + 1)).join(", ")})".freeze
      CHANGE = "INSERT INTO up_tack_changes (entry_id, #{Seal::CHANGE.map { |name| "\"#{name}\"" }.join(", ")}) VALUES (#{(["?"] * (Seal::CHANGE.length + 1)).join(", ")})".freeze
      LATEST = "SELECT id, seal FROM up_tack_entries ORDER BY id DESC LIMIT 1"

      module_function

      # @param entry [Array] values of Seal::ENTRY but for the number
      # @param changes [Array<Array>] values of Seal::CHANGE
      # @return [Integer] the entry's number
      def add(entry, changes)
        id, before = Statements.run(LATEST).first || [0, Seal::BEGINNING]
        entry = [id + 1, *entry]
        Statements.run(ENTRY, *entry, Seal.of(before, entry, changes))
        changes.each { |change| Statements.run(CHANGE, id + 1, *change) }
        id + 1
      end

      # @return [String] a moment as the log keeps it, in UTC
      def moment(time) = time.getutc.strftime("%Y-%m-%d %H:%M:%S.%6N")
    end
  end
end
