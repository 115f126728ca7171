# frozen_string_literal: true

module UpTack
  module Store
    # Adds entries to the change log, each sealed onto the one before. Lives inside
    # one transaction, beside which nobody else can write. Which fields they tell of can be
    # held back, to be written field by field for many entries: they lie in that order.
    class LogWriter
      SEALED = [*Seal::COLUMNS, "seal"].freeze
      ENTRY = Statements::Insertion.new("main.up_tack_entries", SEALED)
      LATEST = "SELECT id, seal FROM main.up_tack_entries ORDER BY id DESC LIMIT 1"

      # What an entry says. values:: as `add` has them
      PendingEntry = Struct.new(:values, :changes, :records, :prepared)

      # @return [String] a moment as the log keeps it, in UTC
      def self.moment(time)
        held = @moment # Many entries of a batch are made at one.
        held = @moment = [time, time.getutc.strftime("%Y-%m-%d %H:%M:%S.%6N").freeze].freeze unless time.equal?(
          held&.first
        )
        held.last
      end

      # @param buffered [Boolean] whether fields are held back until `finish`
      # @param entries [Boolean] whether entries are held back too, where nobody looks at them
      #   before: written in one go they are written faster
      # @param open [Array<Core::Design::Field>] those of which something is still told where the others are prepared
      def initialize(buffered: false, entries: false, open: [])
        @buffered = buffered
        @entries = buffered && entries
        @open = open
        @waiting = []
        @differences = ChangeSerializer.new
        @fields = FieldChangeIndex.new
      end

      # @param values [Array] values of Seal::COLUMNS but for the differences; the number, which is
      #   the first, is given here
      # @param changes [Array<Core::Save::Change>] what it tells
      # @param records [LinkedRecords] by which links are named
      # @param prepared [PreparedRow, nil] what it tells besides
      # @return [Integer] the entry's number
      def add(values, changes, records, prepared = nil)
        begin_chain unless @last
        values[0] = @last += 1
        @waiting << (entry = PendingEntry.new(values, changes, records, prepared))
        # Others may be named in another way once more is written.
        tell(entry) if changes.any? { |change| change.field.link? }
        write_waiting unless @entries
        finish unless @buffered
        values.first
      end

      # The entry that tells of a restored backup. Its number comes after those that were cut off.
      # @param who [Hash] "person_id" and "person_name"
      # @param cut [Hash] what was cut off, as the event has it
      # @return [void]
      def add_restore(number, now, who, summary, revision, cut)
        begin_chain
        differences = [["", "Log", "text", JSON.generate(cut["cut_off"]), @seal, nil]]
        values = [
          number,
          LogWriter.moment(now),
          who[:person_id],
          who[:person_name],
          "backup",
          "restored",
          "",
          0,
          summary,
          revision,
          nil,
          nil,
          nil,
          JSON.generate(differences)
        ]
        Statements.insert_all(ENTRY, [[*values, Seal.compute(@seal, values, @key)]])
        Head.write
        @last = @seal = nil
      end

      # Writes what is held back, and the new end; before the next entry somebody else may write some.
      def finish
        write_waiting
        Head.write if @last
        @last = @seal = nil
        @fields.write
      end

      private

      def begin_chain
        @last, @seal = Statements.run(LATEST).first || [0, Seal::BEGINNING]
        @key = LogKey.current
      end

      # Each step for all entries before the next: what it needs is at hand then.
      def write_waiting
        return if @waiting.empty?

        @waiting.each { |entry| tell(entry) unless entry.values.length == Seal::COLUMNS.length }
        @waiting.each { |entry| entry.values << (@seal = Seal.compute(@seal, entry.values, @key)) }
        Statements.insert_all(ENTRY, @waiting.map(&:values))
        @waiting.each do |entry|
          @fields.add_changes(entry.values.first, entry.changes)
          @fields.add(entry.values.first, entry.prepared.logged) if entry.prepared
        end
        @waiting.clear
      end

      def tell(entry)
        entry.values << (
          if entry.prepared
            merged(entry.prepared, entry.changes, entry.records)
          else
            @differences.serialize(entry.changes, entry.records)
          end
        )
      end

      # @return [String] all in the order of the fields
      def merged(prepared, changes, records)
        index = 0
        pieces = [prepared.stretches[0]]
        @open.each_with_index do |field, place|
          if changes[index]&.field.equal?(field)
            change = changes[index]
            pieces << @differences.piece(field, change.before, change.after, change.rule, records)
            index += 1
          end
          pieces << prepared.stretches[place + 1]
        end
        "[#{pieces.compact.join(",")}]"
      end
    end
  end
end
