# frozen_string_literal: true

module UpTack
  module UseCases
    # Takes back a change of many records as one: each value that is still as the
    # change left it becomes what it was before, through the rules. What somebody
    # changed since, or what the rules refuse now, stays and is counted.
    class UndoBatch
      # undone:: values put back; left:: values that stay
      Result = Struct.new(:batch, :undone, :left, keyword_init: true)

      def initialize(workspace, progress: Upkeep::Progress.none)
        @workspace = workspace
        @progress = progress
      end

      # @return [Result]
      # @raise [Store::NotFound, Core::Design::Invalid]
      def call(id)
        @workspace.write do
          batch = Store::Batch.find_by(id: id) or raise Store::NotFound, "There is no such change."
          Core::Design::Invalid.because("This change was taken back already.") if batch.undone?

          @table = @workspace.project.tables.find { |table| table.id == batch.table_id } or Core::Design::Invalid.because("Its table is no longer there.")
          run(batch)
        end
      end

      private

      def run(batch)
        entries = Store::Entry.where(batch_id: batch.id).to_a
        result = Result.new(batch: Store::Batch.begin(@workspace, @table, "Taken back: #{batch.summary}", undoes: batch), undone: 0, left: 0)
        save = SaveRecord.new(@workspace, way: "put back", batch: result.batch)
        @progress.begin(@table.label, batch.summary, entries.length)
        entries.each do |entry|
          put_back(entry, save, result)
          @progress.advance(1)
        end
        result
      end

      def put_back(entry, save, result)
        stored = Store::Rows.new(@table).find(entry.record_id)
        # Of a tick only its beginning counts: it has gone back by itself.
        changes = entry.field_changes.uniq(&:field_id).filter_map { |change| (field = typed_field(change)) && [field, *change.values] }
        fit, moved = changes.partition { |field, _, after| stored && stored[field.key] == after }
        result.left += moved.length
        return if fit.empty?

        typed = fit.to_h { |field, before, _| [field.key, before.nil? ? nil : field.values.dump(before)] }
        saved = save.call(table: @table.key, id: entry.record_id, typed: typed, as_it_was: true).state == :saved
        saved ? result.undone += fit.length : result.left += fit.length
      end

      # What is worked out follows by itself.
      def typed_field(change)
        @table.fields.find { |field| field.id == change.field_id && field.type == change.type && !@table.given?(field.key) }
      end
    end
  end
end
