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
      # @param entries [Boolean] whether entries are held back too, where nobody looks at them
      #   before: written in one go they are written faster
      # @param open [Array<Core::Design::Field>] those of which something is still told where the others are settled
      def initialize(holding: false, entries: false, open: [])
        @holding = holding
        @open = open
        @waiting = (holding && entries) ? [] : nil
        @differences = Differences.new
        @held = {}
        @held_together = {}.compare_by_identity
      end

      # @param entry [Array] values of Seal::COLUMNS but for the number and the differences
      # @param changes [Array<Core::Save::Change>] what it tells
      # @param records [LinkedRecords] by which links are named
      # @param settled [Settled, nil] what it tells besides
      # @return [Integer] the entry's number
      def add(entry, changes, records, settled = nil)
        @last, @seal = Statements.run(LATEST).first || [0, Seal::BEGINNING] unless @last
        @last += 1
        entry.unshift(@last)
        entry << (settled ? merged(settled, changes, records) : @differences.of(changes, records))
        @seal = Seal.of(@seal, entry)
        entry << @seal
        @waiting ? @waiting << entry : Statements.ready(ENTRY).run(entry)
        changes.each { |change| hold(change.field.id) }
        (@held_together[settled.told] ||= []) << @last if settled
        finish unless @holding
        entry[0]
      end

      # Writes what is held back; before the next entry somebody else may write some.
      def finish
        @last = @seal = nil
        write_waiting
        @held_together.each { |fields, entries| fields.each { |field| (@held[field] ||= []).concat(entries) } }
        @held.each { |field, entries| Statements.run(CHANGED, field, JSON.generate(entries)) }
        @held.clear
        @held_together.clear
      end

      private

      def write_waiting
        return if @waiting.nil? || @waiting.empty?

        statement = Statements.ready(ENTRY)
        @waiting.each { |entry| statement.run(entry) }
        @waiting.clear
      end

      # @return [String] all in the order of the fields
      def merged(settled, changes, records)
        index = 0
        pieces = [settled.stretches[0]]
        @open.each_with_index do |field, place|
          if changes[index]&.field.equal?(field)
            change = changes[index]
            pieces << @differences.piece(field, change.before, change.after, change.rule, records)
            index += 1
          end
          pieces << settled.stretches[place + 1]
        end
        "[#{pieces.compact.join(",")}]"
      end

      # A field that a tick changed twice is told of once.
      def hold(field)
        entries = (@held[field] ||= [])
        entries << @last unless entries.last == @last
      end
    end
  end
end
