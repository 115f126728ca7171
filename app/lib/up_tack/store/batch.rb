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

      # How many records those have that are over, which does not change any more.
      @sizes = {}
      @mutex = Mutex.new
      %w[all log].each { |kind| Generation.on(kind) { @mutex.synchronize { @sizes.clear } } }
      MOST_SIZES = 2_000

      # @return [Integer] what the block counts, or what it counted before
      def self.size(batch)
        key = [Database.path, batch.id, batch.made_at]
        @mutex.synchronize { @sizes[key] } || yield.tap do |count|
          @mutex.synchronize do
            @sizes.shift if @sizes.length >= MOST_SIZES
            @sizes[key] = count
          end
        end
      end

      # @return [Integer] how many records it changed
      def records = over? ? Batch.size(self) { count_records } : count_records

      # @return [Boolean] whether nothing is written of it any more, and all of it can be read
      def over? =
        !Database.connection.transaction_open? && !RunningBatch.exists?(batch_id: id) && LogFiles.lost.empty?

      # @return [Boolean] whether other batches took back all of it
      def undone? = Statements.run("SELECT 1 FROM up_tack_undone WHERE batch_id = ?", id).any?

      # Nothing of it is left.
      # @return [void]
      def undone = Statements.run("INSERT OR IGNORE INTO up_tack_undone (batch_id) VALUES (?)", id)

      private

      def count_records
        all = Entry.where(batch_id: id)
        all.count - all.where(FOLLOW_UP).count
      end
    end
  end
end
