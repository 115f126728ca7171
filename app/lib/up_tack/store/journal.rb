# frozen_string_literal: true

module UpTack
  module Store
    # What records were before a change of many that is written in portions, as their columns have it. By that it is
    # undone, should it not come to its end, whatever the change log watches. Numbers that were made one after
    # the other are one row.
    module Journal
      MADE, CHANGED, DELETED = %w[made changed deleted].freeze
      ROWS = Statements::Insertion.new("up_tack_journal", %w[batch_id table_id kind first last before])

      class << self
        # @param batch [Integer] whose change is noted from here on, in this process
        # @return [void]
        def open(batch)
          @batch = batch
          @rows = []
        end

        # @return [void]
        def close = @batch = @rows = nil

        # @return [Integer, nil] of the change that is noted
        attr_reader :batch

        # @param table [Core::Design::Table]
        # @param first [Integer] number of a record that was made, or of the first of some
        # @return [void]
        def made(table, first, last = first)
          return unless @batch

          before = @rows.last
          return before[4] = last if before && before[1] == table.id && before[2] == MADE && before[4] == first - 1

          @rows << [@batch, table.id, MADE, first, last, nil]
        end

        # @param columns [Array<String>] that are about to become others
        # @return [void]
        def changing(table, id, columns) = note(table, id, CHANGED, columns)

        # @return [void]
        def deleting(table, id, columns) = note(table, id, DELETED, columns)

        # Writes what was noted; within the transaction that changed it.
        # @return [void]
        def write
          Statements.insert_all(ROWS, @rows)
          @rows.clear
        end

        # @param batch [Integer]
        # @param most [Integer]
        # @return [Array<Array>] id, table, kind, first, last and before of the latest
        def latest(batch, most)
          Statements.run(
            "SELECT id, table_id, kind, first, last, before FROM up_tack_journal WHERE batch_id = ? " \
              "ORDER BY id DESC LIMIT ?",
            batch, most
          )
        end

        # @param ids [Array<Integer>] of rows that are no longer needed
        def drop(ids) =
          ids.each { |id| Statements.run("DELETE FROM up_tack_journal WHERE id = ?", id) }

        # The record of a range that is left.
        def shorten(id, last) = Statements.run("UPDATE up_tack_journal SET last = ? WHERE id = ?", last, id)

        # @param table [String] id
        # @param record [Integer]
        # @return [Integer, nil] number of the unfinished change that has touched it
        def holder(table, record)
          range = Statements.run(
            "SELECT batch_id, last FROM up_tack_journal WHERE table_id = ? AND kind = 'made' AND first <= ? " \
              "ORDER BY first DESC LIMIT 1",
            table, record
          ).first
          return range.first if range && range.last >= record

          Statements.run(
            "SELECT batch_id FROM up_tack_journal WHERE table_id = ? AND kind <> 'made' AND first = ? LIMIT 1",
            table, record
          ).dig(0, 0)
        end

        private

        def note(table, id, kind, columns)
          return unless @batch

          quote = Database.connection.method(:quote_table_name)
          cells = Statements.run(
            "SELECT #{columns.map(&quote).join(", ")} FROM #{quote.call(table.key)} WHERE id = ?", id
          ).first or return
          @rows << [@batch, table.id, kind, id, id, JSON.generate(columns.zip(cells).to_h)]
        end
      end
    end
  end
end
