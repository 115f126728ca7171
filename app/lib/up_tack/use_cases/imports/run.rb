# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Takes the rows of a file through the rules, in one transaction and portion by
      # portion, as one change that can be taken back. Tried, it does the very same and
      # then takes it back.
      class Run
        # made, changed:: records saved; report:: the Bulk::Report of all rows
        # refused:: path of the RejectedRows, nil where none were
        Result = Struct.new(:made, :changed, :report, :refused, keyword_init: true)

        # @param progress [Progress]
        # @param ahead [Proc] begins to work ahead, see Ahead.begin
        def initialize(workspace, progress: Progress.none, ahead: WorkerClient.method(:begin))
          @workspace = workspace
          @progress = progress
          @ahead = ahead
        end

        # @param source [#each_row]
        # @param table [String] key
        # @param settings [Settings]
        # @param keep [String] one of Bulk::KEEP
        # @param refused [String, nil] where to write the rows that are refused
        # @param name [String] of the file
        # @param rows [Integer] how many there are, about
        # @return [Result]
        # @raise [Interchange::Unreadable, Recalculation::Stopped, Core::Invalid, Services::NotAllowed]
        def call(source:, table:, settings:, keep:, name:, refused: nil, rows: 0)
          @source = source
          @settings = settings
          check(@workspace.table(table))
          Bulk.attempt(@workspace, keep, many: rows, progress: @progress) do |portions|
            @portions = portions
            @result = Result.new(made: 0, changed: 0, refused: refused)
            @refused = refused && RejectedRows::Writer.new(refused, settings)
            work(table, name, rows)
          ensure
            @refused&.close
          end
          @result
        end

        private

        def check(table)
          Services::NotAllowed.unless_may(@workspace.person, table, :edit)
          taken = @settings.columns.select(&:field)
          if @settings.as_was && @workspace.person.role != "builder"
            Core::Invalid.because(Core::Messages["imports.run.only_builders_import_as_it_was"], part: "as_was")
          end
          if taken.empty?
            Core::Invalid.because(Core::Messages["imports.run.no_column_belongs_to_field"],
              part: "columns")
          end
          Services::Fields.check(table, taken.to_h { |each| [each.field, nil] }, @workspace.visibility)
          twice = taken.map(&:field).tally.find { |_, times| times > 1 }
          if twice
            Core::Invalid.because(
              Core::Messages["imports.run.two_columns_belong_to", field: table.field(twice.first).label],
              part: "columns"
            )
          end
          missing = taken.map(&:column) - @source.columns
          if missing.any?
            Core::Invalid.because(
              Core::Messages["imports.run.file_has_no_column", column: missing.first],
              part: "columns"
            )
          end
          if @settings.match && taken.none? { |each| each.field == @settings.match }
            Core::Invalid.because(
              Core::Messages["imports.run.records_are_found_by_field_one"],
              part: "match"
            )
          end
        end

        def work(table, name, rows)
          @table = @workspace.table(table)
          @result.report = Bulk::Report.new(@table, @workspace.context.records)
          @result.report.batch = @portions.open(rows, @table) do
            Store::Batch.begin(@workspace, @table, "Imported from #{name[0, 120]}#{", as it was" if @settings.as_was}")
          end
          @progress.begin(@table.label, name, rows)
          taken = TableRows.new(@workspace, @table, source: @source, settings: @settings, report: @result.report,
            refused: @refused, ahead: @ahead)
          taken.call(@portions, rows)
          @result.made, @result.changed = taken.made, taken.changed
          @result.report
        end
      end
    end
  end
end
