# frozen_string_literal: true

module UpTack
  module Store
    # Adds entries to the change log, each sealed onto the one before. Works
    # inside the transaction that writes the record, beside which nobody else can write.
    module LogWriter
      ENTRY = "INSERT INTO up_tack_entries (#{Seal::ENTRY.join(", ")}, seal) VALUES (#{(["?"] * (Seal::ENTRY.length + 1)).join(", ")})".freeze
      # Taken from one JSON text: binding each value by itself would take longer than all the rest.
      CHANGES = <<~SQL.freeze
        INSERT INTO up_tack_changes (entry_id, #{Seal::CHANGE.map { |name| "\"#{name}\"" }.join(", ")})
        SELECT ?, #{Seal::CHANGE.each_index.map { |index| "value ->> #{index}" }.join(", ")} FROM json_each(?)
      SQL
      LATEST = "SELECT id, seal FROM up_tack_entries ORDER BY id DESC LIMIT 1"

      module_function

      # @return [String] a moment as the log keeps it, in UTC
      def moment(time) = time.getutc.strftime("%Y-%m-%d %H:%M:%S.%6N")

      # @param entry [Array] values of Seal::ENTRY but for the number
      # @param changes [Array<Array>] values of Seal::CHANGE
      # @return [Integer] the entry's number
      def add(entry, changes)
        id, before = Statements.run(LATEST).first || [0, Seal::BEGINNING]
        entry = [id + 1, *entry]
        written = JSON.generate(changes)
        Statements.run(ENTRY, *entry, Seal.of_texts(before, JSON.generate(entry), written))
        Statements.run(CHANGES, id + 1, written) if changes.any?
        id + 1
      end
    end
  end
end
