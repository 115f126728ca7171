# frozen_string_literal: true

module UpTack
  module Store
    # Which entries of the change log tell of which fields, for whoever asks by field. Held
    # until all of some are known, since entries that follow one another are kept as one row:
    # those of a batch mostly tell of the same fields.
    class FieldChangeIndex
      ADD = <<~SQL
        INSERT OR IGNORE INTO main.up_tack_changed (field_id, entry_id, last_id)
        SELECT ?1, value ->> 0, value ->> 1 FROM json_each(?2)
      SQL
      # Those that end right before an entry go on with it.
      GO_ON = <<~SQL
        UPDATE main.up_tack_changed SET last_id = ?3
        WHERE (field_id, entry_id) IN (
          SELECT value, (SELECT MAX(entry_id) FROM main.up_tack_changed WHERE field_id = value) FROM json_each(?1))
        AND COALESCE(last_id, entry_id) = ?2 - 1 RETURNING field_id
      SQL
      # Those that end behind an entry: the last that begins before it may.
      SINCE = <<~SQL
        SELECT entry_id, COALESCE(last_id, entry_id) FROM main.up_tack_changed
        WHERE field_id = ?1 AND entry_id <= ?3 AND entry_id >= COALESCE(
          (SELECT MAX(entry_id) FROM main.up_tack_changed WHERE field_id = ?1 AND entry_id <= ?2), 0)
      SQL

      # @param of [String] where it is looked up, with its dot, if not wherever the log lies
      # @return [String] SQL that says whether one of up_tack_entries tells of a field, whose id is yet to be bound
      def self.of_entry(of = "") = <<~SQL
        (SELECT COALESCE(last_id, entry_id) FROM #{of}up_tack_changed WHERE field_id = ?
         AND entry_id <= up_tack_entries.id ORDER BY entry_id DESC LIMIT 1) >= up_tack_entries.id
      SQL

      # @param field [String] id
      # @param seen [Integer] number of an entry
      # @param latest [Integer] number of a later one
      # @return [Array<Array(Integer, Integer)>] first and last of those behind the one, up to the other, that tell of
      #   the field and follow one another
      def self.since(field, seen, latest)
        runs = Statements.run(SINCE, field, seen, latest)
        runs.filter_map { |first, last| [[first, seen + 1].max, [last, latest].min] if last > seen }
      end

      # All entries that tell of a field. Start from the id list and forbid the index SQLite would otherwise pick.
      # @param field [String] id
      # @return [ActiveRecord::Relation]
      def self.entries(field) =
        of_runs(field, "up_tack_changed AS changed CROSS JOIN up_tack_entries NOT INDEXED")

      # Those that were no change of many, which are looked up by themselves: a list goes over half a million of those.
      # @param field [String] id
      # @param table [String] id of its table
      # @param place [String] one of LogFiles.places, in which they are looked for
      # @return [ActiveRecord::Relation] the newest first
      def self.alone(field, table, place)
        entries = "#{place}.up_tack_entries INDEXED BY up_tack_entries_alone"
        of_runs(field, "#{place}.up_tack_changed AS changed CROSS JOIN #{entries}")
          .where(table_id: table, batch_id: nil)
          .order(Arel.sql("changed.entry_id DESC, up_tack_entries.id DESC"))
      end

      def self.of_runs(field, from)
        Entry.from(from).where("changed.field_id = ? AND up_tack_entries.id BETWEEN changed.entry_id AND " \
          "COALESCE(changed.last_id, changed.entry_id)", field)
      end
      private_class_method :of_runs

      # The same as `entries`, for whoever goes through them in another order or narrows them down to a few: each is
      # looked up in the list.
      # @param scope [ActiveRecord::Relation]
      # @param place [String, nil] one of LogFiles.places, in which they lie
      # @return [ActiveRecord::Relation]
      def self.telling(field, scope = Entry.all, place: nil) = scope.where(of_entry(place ? "#{place}." : ""), field)

      def initialize
        @entries = {}.compare_by_identity
        @alike = Core::InternCache.new
      end

      # @param entry [Integer]
      # @param fields [Array<String>] ids; quickest where it is the same object for many entries
      # @return [void]
      def add(entry, fields) = (@entries[fields] ||= []) << entry

      # The same of fields that changed one after the other, maybe twice.
      # @param changes [Array<Core::Save::Change>]
      def add_changes(entry, changes) =
        changes.empty? || add(entry, @alike.one(changes.map { |change| change.field.id }))

      # Writes what is held. Many fields are told of by the same entries: those are gone through once.
      # @return [void]
      def write
        told = Hash.new { |found, field| found[field] = [] }
        @entries.each_key.with_index { |fields, place| fields.uniq.each { |field| told[field] << place } }
        entries = @entries.values
        told.group_by(&:last).each do |places, fields|
          add_runs(fields.map(&:first), FieldChangeIndex.runs(entries.values_at(*places).flatten(1).sort))
        end
        @entries.clear
      end

      # @param entries [Array<Integer>] in their order
      # @return [Array<Array(Integer, Integer)>] first and last of those that follow one another
      def self.runs(entries)
        entries.each_with_object([]) do |entry, found|
          last = found.last
          (last && entry <= last[1] + 1) ? last[1] = entry : found << [entry, entry]
        end
      end

      private

      # Most saves tell of the same fields as the one before: what is written of those costs no room.
      def add_runs(fields, runs)
        first, *others = runs
        # What has moved into a file does not go on here.
        went_on = (first[0] - 1 > LogFiles.last) ? Statements.run(GO_ON, JSON.generate(fields), *first).flatten : []
        all, rest = JSON.generate(runs), JSON.generate(others)
        fields.each do |field|
          missing = went_on.include?(field) ? rest : all
          Statements.run(ADD, field, missing) unless missing == "[]"
        end
      end
    end
  end
end
