# frozen_string_literal: true

module UpTack
  module Store
    # One save in the change log.
    # channel:: how the save came in, one of CHANNELS; the column is called way
    # action:: "create", "update" or "delete"; "restored" where a backup took the place of all that there was
    # table_id:: id of the table in the design, which stays the same through renaming; "" for a restore
    # person_name:: see PersonNames
    # differences:: JSON, the members of each FieldChange
    # seal:: see Seal
    class Entry < SystemRecord
      self.table_name = "up_tack_entries"
      # It may be a view, see LogFiles.
      self.primary_key = "id"
      prepend PersonNames::Kept

      alias_attribute :channel, :way

      # Ways into the database: by people and scripts, many at once, and by Up Tack itself.
      CHANNELS = [
        "form", "grid", "api", "import", "import as it was", "bulk", "tidy", "numbers", "made up", "put back",
        "backup", "rule"
      ].freeze

      # @param place [String] one of LogFiles.places
      # @return [ActiveRecord::Relation] those that lie there
      def self.in(place) = from("#{place}.up_tack_entries")

      # Those of some tables, for whoever asks for what follows a number or comes before it: SQLite would go through all
      # that an index has of the tables.
      # @param tables [Array<String>] ids
      # @return [ActiveRecord::Relation]
      def self.by_number(tables) = where("+up_tack_entries.table_id IN (?)", tables)

      # @param place [String] one of LogFiles.places
      # @return [Array<String>] ids of the tables of which it tells there: looked up one after the other, by an index
      def self.tables(place)
        following = "SELECT MIN(table_id) FROM #{place}.up_tack_entries"
        Database.connection.select_values(<<~SQL)
          WITH RECURSIVE tables (id) AS (#{following} UNION ALL
            SELECT (#{following} WHERE table_id > tables.id) FROM tables WHERE tables.id IS NOT NULL)
          SELECT id FROM tables WHERE id IS NOT NULL
        SQL
      end

      belongs_to :batch, class_name: "UpTack::Store::Batch", optional: true

      # @return [Array<FieldChange>] in the order of the fields
      def field_changes = @field_changes ||= JSON.parse(differences).map { |each| FieldChange.new(*each) }
    end
  end
end
