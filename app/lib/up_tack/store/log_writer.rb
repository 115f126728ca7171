# frozen_string_literal: true

module UpTack
  module Store
    # Adds entries to the change log, each sealed onto the one before. Lives inside
    # one transaction, beside which nobody else can write: so it asks only once for
    # the latest seal, and can hold entries back to write many at a time. They are
    # taken from one JSON text, since binding each value would cost more than all the rest.
    class LogWriter
      SEALED = [*Seal::COLUMNS, "seal"].freeze
      ENTRIES = "INSERT INTO up_tack_entries (#{SEALED.join(", ")}) SELECT #{SEALED.each_index.map { |index| "value ->> #{index}" }.join(", ")} FROM json_each(?)".freeze
      CHANGED = <<~SQL
        INSERT OR IGNORE INTO up_tack_changed (field_id, entry_id)
        SELECT field.value, entry.value ->> 0 FROM json_each(?) AS entry, json_each(entry.value, '$[1]') AS field
      SQL
      LATEST = "SELECT id, seal FROM up_tack_entries ORDER BY id DESC LIMIT 1"
      # Entries held back at most.
      MOST = 200

      # @return [String] a moment as the log keeps it, in UTC
      def self.moment(time)
        held = @second # Many entries of a batch fall into one.
        held = @second = [time.to_i, time.getutc.strftime("%Y-%m-%d %H:%M:%S.")].freeze unless held&.first == time.to_i
        held.last + time.usec.to_s.rjust(6, "0")
      end

      # @param holding [Boolean] whether entries are held back until `finish`
      def initialize(holding: false)
        @holding = holding
        @held = []
        @fields = []
      end

      # @param entry [Array] values of Seal::COLUMNS but for the number
      # @param fields [Array<String>] ids of the fields that it tells of
      # @return [Integer] the entry's number
      def add(entry, fields)
        @latest ||= Statements.run(LATEST).first || [0, Seal::BEGINNING]
        number = @latest.first + 1
        *entry, differences = entry
        head = JSON.generate([number, *entry])
        @latest = [number, Seal.over(@latest.last, head, differences)]
        @held << "#{head.chop},#{JSON.generate(differences)},\"#{@latest.last}\"]"
        @fields << [number, fields]
        finish unless @holding && @held.length < MOST
        number
      end

      # Writes what is held back; before the next entry somebody else may write some.
      def finish
        @latest = nil
        return if @held.empty?

        Statements.run(ENTRIES, "[#{@held.join(",")}]")
        Statements.run(CHANGED, JSON.generate(@fields))
        @held = []
        @fields = []
      end
    end
  end
end
