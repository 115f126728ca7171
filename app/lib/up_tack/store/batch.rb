# frozen_string_literal: true

module UpTack
  module Store
    # A change of many records that somebody made as one: its entries in the
    # change log carry its number, and it can be taken back as one.
    # undoes_id:: the batch that it takes back, nil mostly
    class Batch < SystemRecord
      self.table_name = "up_tack_batches"
      prepend PersonNames::Kept
      include Vouched

      after_create { vouch("batch") }

      # An entry that tells of no field, only of what followed from the others of its batch.
      FOLLOW_UP = "batch_id IS NOT NULL AND followed IS NOT NULL AND differences = '[]'"

      # @param workspace [Workspace] of whoever acts
      # @return [Batch]
      def self.begin(workspace, table, summary, undoes: nil)
        create!(
          made_at: workspace.clock.now,
          person_id: workspace.person.id,
          person_name: PersonNames.seal(workspace.person.id, workspace.person.name),
          table_id: table.id,
          summary: summary,
          undoes_id: undoes&.id
        )
      end

      # @return [Integer] how many records it changed
      def records
        all = Entry.where(batch_id: id)
        all.count - all.where(FOLLOW_UP).count
      end

      # @return [Boolean] whether other batches took back all of it
      def undone? = Statements.run("SELECT 1 FROM up_tack_undone WHERE batch_id = ?", id).any?

      # Nothing of it is left.
      # @return [void]
      def undone = Statements.run("INSERT OR IGNORE INTO up_tack_undone (batch_id) VALUES (?)", id)
    end
  end
end
