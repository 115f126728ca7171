# frozen_string_literal: true

module UpTack
  module Services
    # Undoes a change of many records that did not come to its end: every record becomes what the journal says it
    # was, whatever the rules say of that, and what is calculated from it follows. The log tells both.
    class Rollback
      # Journal rows, and records, of one portion.
      PORTION = 200
      # Rows of the journal that are deleted at a time.
      SWEPT = 5_000

      # Undoes what processes have left that are gone, before anybody is let in, or while others work.
      # @param patient [Boolean] whether to wait for those that are still at it
      # @yield [Store::RunningBatch, Workspace] each whose records are as they were before, in the transaction in which
      #   it is forgotten
      # @return [Array<String>] what was undone, in words
      def self.left(patient: false)
        sweep
        Store::RunningBatch.left(patient: patient).filter_map do |running|
          next unless Store::RunningBatch.exists?(running.batch_id) # It came to its end while it was waited for.

          words = running.batch.summary
          workspace = Workspace.new(person: Store::Person.find(running.batch.person_id))
          new(workspace).call(running) { yield running, workspace if block_given? }
          words
        end
      end

      # What a process has left that ended right after its change was whole.
      def self.sweep
        ended = "FROM up_tack_journal WHERE batch_id NOT IN (SELECT batch_id FROM up_tack_running)"
        return if Store::Statements.run("SELECT 1 #{ended} LIMIT 1").empty?

        Store::Database.write { Store::Statements.run("DELETE #{ended}") }
      end
      private_class_method :sweep

      # What was noted is no longer needed.
      # @param running [Store::RunningBatch] that has ended
      # @return [void]
      def self.forget(running)
        sql = "DELETE FROM up_tack_journal WHERE id IN (SELECT id FROM up_tack_journal WHERE batch_id = ? LIMIT ?)"
        loop do
          Store::Turn.give_way
          Store::Database.write(soon: true) { Store::Statements.run(sql, running.batch_id, SWEPT) }
          break if Store::Statements.run("SELECT 1 FROM up_tack_journal WHERE batch_id = ? LIMIT 1",
            running.batch_id).empty?
        end
        running.forget
      end

      # @param workspace [Workspace] of whoever began it
      def initialize(workspace)
        @workspace = workspace
        @names = Hash.new { |known, id| known[id] = workspace.project.tables.find { |table| table.id == id } }
      end

      # @param running [Store::RunningBatch]
      # @yield once its records are as they were before, in the transaction in which it is forgotten
      # @return [void]
      def call(running)
        batch = running.batch
        loop do
          Store::Turn.give_way
          # Read under the lock: two processes may come upon the same batch that was left.
          rows = Store::Database.write(soon: true) do
            Store::Journal.latest(batch.id, PORTION).tap { |found| portion(found, batch) if found.any? }
          end
          break if rows.empty?
        end
        Store::Database.write do
          batch.undone
          running.end
          yield if block_given?
        end
        running.forget
      end

      private

      def portion(rows, batch)
        @workspace.renew
        @log = Store::LogWriter.new(buffered: true)
        @context = @workspace.context
        @records = @context.records
        @batch = batch
        @restored = Hash.new { |tables, key| tables[key] = {} }
        left = PORTION
        rows.each do |row|
          break unless left.positive?

          left -= restore(*row, left)
        end
        calculate
        tell
        @log.finish
      end

      # @return [Integer] how many records were restored
      def restore(row, table, kind, first, last, before, most)
        table = @names[table]
        if kind == Store::Journal::MADE
          from = [last - most + 1, first].max
          last.downto(from) { |id| change(table, id) { |rows| rows.delete(id) } } if table
          (from > first) ? Store::Journal.shorten(row, from - 1) : Store::Journal.drop([row])
          return last - from + 1
        end

        cells = JSON.parse(before)
        change(table, first) { |rows| rows.restore(first, cells) } if table
        Store::Journal.drop([row])
        1
      end

      # A record that stands in the journal twice is told once, as it is now and as it was first.
      def change(table, id)
        rows = Store::RecordTable.new(table)
        now = rows.find(id)
        yield rows
        seen = @restored[table.key]
        seen[id] ||= [now, now && title(table, id, now)]
      end

      # Values that are calculated from what others changed meanwhile.
      def calculate
        dirty = Recalculation::Dirty.new
        upkeep = @workspace.project.upkeep
        @restored.each do |key, records|
          own =
            upkeep.calculations.select do |each|
              each.place.first == key && upkeep.kept?(*each.place) && !each.rule.once?
            end
          own.each { |each| dirty.add(each.place, records.keys) }
        end
        Recalculation::Run.new(@workspace).run(dirty) unless dirty.places.empty?
      end

      # What followed from all of them is told with the last one.
      def tell
        @restored.each do |key, records|
          table = @workspace.table(key)
          upkeep = Recalculation::AfterSave.new(@workspace, table, buffered: true)
          rows = Store::RecordTable.new(table)
          told = records.filter_map { |id, (now, title)| difference(table, id, now, rows.find(id), title, upkeep) }
          told.last[3] = told.last[3].merge(upkeep.run_deferred) if told.any?
          told.each { |id, action, changes, followed, title| add(table, id, action, changes, followed, title) }
          @log.finish
          DownstreamLogRules.new(@workspace).write(upkeep.take_moved)
        end
      end

      # @return [Array, nil] what the entry of a record tells; nil where it is as it was
      def difference(table, id, now, before, title, upkeep)
        now ||= {}
        before ||= {}
        changes = table.kept_fields.filter_map do |field|
          was, is = now[field.key], before[field.key]
          Core::Save::Change.new(field, was, is) unless was == is
        end
        return if changes.empty? && now.empty? == before.empty?

        followed = upkeep.run(id, before: now, after: before)
        [id, action(now, before), changes, followed, title || title(table, id, before)]
      end

      def add(table, id, action, changes, followed, title)
        Store::ChangeLog.add(
          table: table, record_id: id, action: action, changes: changes, followed: followed, workspace: @workspace,
          channel: "put back", title: title, batch: @batch, log: @log, records: @records
        )
      end

      def action(now, before)
        return "restore" if now.empty?

        before.empty? ? "delete" : "update"
      end

      def title(table, id, values) = Core::Save::RecordTitle.find(table, id, values, @context)
    end
  end
end
