# frozen_string_literal: true

module UpTack
  module Store
    # Adds entries to the change log, each sealed onto the one before. Lives inside
    # one transaction, beside which nobody else can write. Which fields they tell of can be
    # held back, to be written field by field for many entries: they lie in that order.
    class LogWriter
      SEALED = [*Seal::COLUMNS, "seal"].freeze
      ENTRY = "INSERT INTO up_tack_entries (#{SEALED.join(", ")}) VALUES (#{(["?"] * SEALED.length).join(", ")})".freeze
      CHANGED = "INSERT OR IGNORE INTO up_tack_changed (field_id, entry_id) SELECT ?1, value FROM json_each(?2)"
      LATEST = "SELECT id, seal FROM up_tack_entries ORDER BY id DESC LIMIT 1"

      # @return [String] a moment as the log keeps it, in UTC
      def self.moment(time)
        held = @second # Many entries of a batch fall into one.
        held = @second = [time.to_i, time.getutc.strftime("%Y-%m-%d %H:%M:%S.")].freeze unless held&.first == time.to_i
        held.last + time.usec.to_s.rjust(6, "0")
      end

      # @param holding [Boolean] whether fields are held back until `finish`
      def initialize(holding: false)
        @holding = holding
        @held = Hash.new { |hash, field| hash[field] = [] }
      end

      # @param entry [Array] values of Seal::COLUMNS but for the number
      # @param fields [Array<String>] ids of the fields that it tells of
      # @return [Integer] the entry's number
      def add(entry, fields)
        @latest ||= Statements.run(LATEST).first || [0, Seal::BEGINNING]
        entry = [@latest.first + 1, *entry]
        @latest = [entry.first, Seal.of(@latest.last, entry)]
        Statements.run(ENTRY, *entry, @latest.last)
        fields.each { |field| @held[field] << entry.first }
        finish unless @holding
        entry.first
      end

      # Writes what is held back; before the next entry somebody else may write some.
      def finish
        @latest = nil
        @held.each { |field, entries| Statements.run(CHANGED, field, JSON.generate(entries)) }
        @held.clear
      end
    end
  end
end
