# frozen_string_literal: true

module UpTack
  module UseCases
    module Bulk
      # Deletes many records as one change, each with what the builder chose for those
      # that link to it.
      class Delete
        def initialize(workspace, progress: Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @param table [Core::Design::Table]
        # @param ids [Array<Integer>]
        # @param keep [String] one of Bulk::KEEP
        # @return [Report]
        # @raise [Services::NotAllowed, Recalculation::Stopped]
        def call(table:, ids:, keep:)
          Bulk.attempt(@workspace, keep, many: ids.length, progress: @progress) do |portions|
            Services::NotAllowed.unless_may(@workspace.person, table, :delete)
            summary =
              if ids.length == 1
                Core::Wording["1 record deleted"]
              else
                Core::Wording["%{count} records deleted", count: Core::Values::Plain.grouped(ids.length)]
              end
            report = Report.new(table, @workspace.context.records)
            report.batch = portions.open(ids.length, table) { Store::Batch.begin(@workspace, table, summary) }
            delete = Records::DeleteRecord.new(@workspace, channel: "bulk", batch: report.batch, buffered: true)
            @progress.begin(table.label, summary, ids.length)
            portions.each(ids.each_with_index) do |some|
              some.each { |id, place| one(delete, report, table, place, id) }
              delete.finish
            end
            report
          end
        end

        private

        # One that was deleted along with another before it is no longer there.
        def one(delete, report, table, place, id)
          report.add(place, delete.call(table: table.key, id: id), id)
        rescue Store::NotFound => e
          unless Store::Entry.exists?(table_id: table.id, record_id: id, action: "delete", batch_id: report.batch.id)
            report.fail(place, id, e.message)
          end
        end
      end
    end
  end
end
