# frozen_string_literal: true

module UpTack
  module UseCases
    module Bulk
      # Saves many records as one change: new ones, and changes to those that are there.
      class Write
        # @param channel [String] how they come in, for the change log
        # @param progress [Progress]
        def initialize(workspace, channel: "bulk", progress: Progress.none)
          @workspace = workspace
          @channel = channel
          @progress = progress
        end

        # @param table [String] key
        # @param drafts [Enumerable<Hash>] typed: and for a record that is there id:, besides
        #   what RecordWriter#write takes, and version: where somebody saw it
        # @param summary [String] what is done, in words for History
        # @param keep [String] one of Bulk::KEEP
        # @param total [Integer] how many drafts there are
        # @yield [Integer, Services::SaveResult] each draft's place and what became of it, but for those whose
        #   record is gone
        # @return [Report]
        # @raise [Recalculation::Stopped, Services::NotAllowed, Core::Invalid]
        def call(table:, drafts:, summary:, keep: "all", total: drafts.size, &seen)
          Bulk.attempt(@workspace, keep, many: total.to_i, progress: @progress) do |portions|
            @table = @workspace.table(table)
            Services::NotAllowed.unless_may(@workspace.person, @table, :edit)
            @report = Report.new(@table, @workspace.context.records)
            @report.batch = @batch = portions.open(total.to_i, @table) {
              Store::Batch.begin(@workspace, @table, summary)
            }
            @progress.begin(@table.label, summary, total)
            writer = Services::BulkRecordWriter.new(@workspace, @table.key, channel: @channel, batch: @batch)
            place = 0
            portions.each(drafts) do |portion|
              write(writer, portion, place, &seen)
              place += portion.length
            end
            @report
          end
        end

        private

        # What is held back is written after each portion, so that it does not grow without end.
        def write(writer, portion, from, &seen)
          portion.each_with_index do |draft, index|
            one(writer, from + index, **draft, &seen)
          end
          writer.finish
        end

        def one(writer, place, typed:, id: nil, version: nil, **more)
          stored = id && Store::RecordTable.new(@table).find(id)
          return missing(place, id) if id && stored.nil?

          answer =
            theirs(id, version, typed) ||
            writer.write(typed, stored: stored && Services::StoredRecord.new(id: id, values: stored), **more)
          @report.add(place, answer, id, typed)
          yield(place, answer) if block_given?
        end

        # In the grid people work cell by cell: what others did to other cells stands beside it.
        def theirs(id, version, typed)
          found = (id && version) ? Store::ChangeLog.since(@table, id, version) : []
          found = found.select { |entry| touches?(entry, typed) } if @channel == "grid"
          found.empty? ? nil : Services::SaveResult.new(state: :conflict, theirs: found)
        end

        def touches?(entry, typed) =
          entry.field_changes.any? do |change|
            @table.fields.any? { |field| field.id == change.field_id && typed.key?(field.key) }
          end

        def missing(place, id) =
          @report.fail(place, id, Core::Messages["common.there_is_no_record", id: id, table: @table.label])
      end
    end
  end
end
