# frozen_string_literal: true

module UpTack
  module UseCases
    module History
      # Takes back a change of many records as one: each value that is still as the
      # change left it becomes what it was before, through the rules; a record that it
      # made goes, and one that it deleted comes back. What somebody changed since, or what the rules refuse now,
      # stays and is counted.
      class UndoBatch
        # undone:: values put back and records taken out; left:: those that stay
        Result = Struct.new(:batch, :undone, :left, keyword_init: true)
        # Entries read at a time.
        PORTION = 500

        # @param id [Integer] of a batch
        # @return [Integer] how many entries it has in the log
        def self.size(id) = Store::Entry.where(batch_id: id).count

        def initialize(workspace, progress: Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @return [Result]
        # @raise [Store::NotFound, Core::Invalid]
        def call(id)
          many = self.class.size(id)
          Services::Portions.run(@workspace, many, progress: @progress) do |portions|
            batch = wanted(id)
            table = table_of(batch) or Core::Invalid.because(Core::Messages["common.its_table_is_no_longer_there"])
            result = run(batch, table, portions)
            # What undid nothing leaves nothing either.
            if result.undone.zero?
              Core::Invalid.because(
                Core::Messages["history.undo_batch.nothing_of_change_could_be_taken_back"]
              )
            end
            batch.undone if result.left.zero?
            result
          end
        end

        private

        def wanted(id)
          Store::LogFiles.complete!
          batch = Store::Batch.find_by(id: id) or
            raise Store::NotFound, Core::Messages["history.undo_batch.there_is_no_such_change"]
          unless @workspace.person.builder? || batch.person_id == @workspace.person.id
            raise Services::NotAllowed,
              Core::Messages["history.undo_batch.only_builder_takes_back_what_somebody_else"]
          end
          Core::Invalid.because(Core::Messages["history.undo_batch.change_was_taken_back_already"]) if batch.undone?
          Store::RunningBatch.find_by(batch_id: id)&.then { |running| raise Store::RunningBatch::Busy.new(running) }
          batch
        end

        def run(batch, table, portions)
          entries = Store::Entry.where(batch_id: batch.id)
          own = portions.open(entries.count, table) do
            Store::Batch.begin(@workspace, table, "Undone: #{batch.summary}", undoes: batch)
          end
          result = Result.new(batch: own, undone: 0, left: 0)
          @save = Records::SaveRecord.new(@workspace, channel: "put back", batch: own)
          @delete = Records::DeleteRecord.new(@workspace, channel: "put back", batch: result.batch, buffered: true)
          @names = Store::PresentNames.new(@workspace.revision_id)
          @began = Store::ChangeLog.latest
          @progress.begin(table.label, batch.summary, entries.count)
          bring_all_back(entries.where(action: "delete").order(id: :desc).pluck(:id), result, portions)
          entries.where.not(action: "delete").order(id: :desc).in_batches(of: PORTION, order: :desc) do |some|
            portions.each(some.to_a.sort_by { |entry| -entry.id }) { |part| put_all_back(part, batch, result) }
          end
          result
        end

        def put_all_back(entries, batch, result)
          @touched = touched(entries, batch, result.batch)
          entries.each { |entry| (@table = table_of(entry)) ? put_back(entry, result) : result.left += 1 }
          @delete.finish
        end

        def table_of(entry) = @workspace.project.tables.find { |table| table.id == entry.table_id }

        def put_back(entry, result)
          return take_out(entry, result) if entry.action == "create"

          @delete.finish
          stored = Store::RecordTable.new(@table).find(entry.record_id)
          # Of a tick only its beginning counts: it has gone back by itself.
          changes =
            entry
              .field_changes
              .uniq(&:field_id)
              .filter_map { |change| (field = typed_field(change)) && [field, *@names.values(entry, change)] }
          fit, moved = changes.partition { |field, _, after| stored && stored[field.key] == after }
          result.left += moved.length
          return if fit.empty?

          typed = fit.to_h { |field, before, _| [field.key, before.nil? ? nil : field.values.dump(before)] }
          saved = @save.call(table: @table.key, id: entry.record_id, typed: typed,
            restoring_values: true).state == :saved
          saved ? result.undone += fit.length : result.left += fit.length
        end

        # Those first that need no other one; a record comes back once those are there to
        # which its links lead.
        def bring_all_back(waiting, result, portions)
          until waiting.empty?
            left = []
            portions.each(waiting) do |some|
              left.concat(some.reject { |id| bring_back(Store::Entry.find(id), result) })
            end
            break result.left += left.length if left.length == waiting.length

            waiting = left
          end
        end

        def bring_back(entry, result)
          @table = table_of(entry) or return false
          back =
            Store::RecordTable.new(@table).find(entry.record_id).nil? &&
            History::PutBack.new(@workspace, batch: result.batch).call(entry: entry.id).last.state == :saved
          result.undone += 1 if back
          back
        end

        # A record that nobody has touched since.
        def take_out(entry, result)
          gone =
            (@touched[[entry.table_id, entry.record_id]] || 0) < entry.id &&
            @delete.call(table: @table.key, id: entry.record_id).state == :saved
          gone ? result.undone += 1 : result.left += 1
        rescue Store::NotFound
          result.left += 1
        end

        # @return [Hash{Array(String, Integer)=>Integer}] the latest entry of each record, by table
        #   and number, that stands in the log apart from this change and what rules made of its undoing
        def touched(entries, batch, own)
          made = entries.select { |entry| entry.action == "create" }
          made
            .group_by(&:table_id)
            .flat_map do |table, some|
              others = Store::Entry.where(table_id: table, record_id: some.map(&:record_id))
              others
                .where("batch_id IS NULL OR batch_id NOT IN (?)", [batch.id, own.id])
                .where("id <= ? OR way <> 'rule'", @began)
                .group(:record_id)
                .maximum(:id)
                .map { |record, latest| [[table, record], latest] }
            end
            .to_h
        end

        # What is worked out follows by itself.
        def typed_field(change)
          @table.fields.find do |field|
            field.id == change.field_id && field.type == change.type && !@table.rule_owned?(field.key)
          end
        end
      end
    end
  end
end
