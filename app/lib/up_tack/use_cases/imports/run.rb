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
          @result.report.batch = @batch = @portions.open(rows, @table) do
            Store::Batch.begin(@workspace, @table, "Imported from #{name[0, 120]}#{", as it was" if @settings.as_was}")
          end
          @writer = Services::BulkRecordWriter.new(@workspace, @table.key, channel: channel, batch: @batch)
          @refreshed = 0
          @drafting = RowToDraft.new(@workspace, @table, @source, @settings)
          @linked_to_itself = @drafting.fields.any? { |field| field.target == @table.key }
          @progress.begin(@table.label, name, rows)
          if @settings.match.nil? && @writer.quiet?
            ahead =
              @ahead.call(
                @workspace,
                source: @source,
                table: @table,
                settings: @settings,
                rows: rows
              )
          end
          RowSource
            .new(@source, @drafting, @workspace.plan(@table.key), ahead)
            .each_portion { |rows| @portions.each(rows) { |portion| write(portion) } }
          @result.report
        ensure
          ahead&.close
        end

        # What is held back is written after each portion, so that it does not grow without end.
        def write(portion)
          portion = portion.map { |read| (read.at < @portions.others) ? read_again(read) : read }
          there = found(portion)
          @workspace.clock.still do
            portion.each do |read|
              read.ahead ? write_one(read.row, read.typed, nil, read.ahead) : one(*read.to_a.first(3), there)
            end
            @writer.finish
          end
          @drafting.forget(@table.key) if @linked_to_itself
        end

        # Somebody has saved since a row was read, or taken through some of its rules: what it says of other records
        # may be past.
        def read_again(read)
          if @refreshed < @portions.others
            @refreshed = @portions.others
            @drafting.forget_all
          end
          RowSource::Read.new(read.row, *@drafting.call(read.row))
        end

        # @return [Hash{Object=>Array<Integer>}, nil] records that are there, by the value that finds them
        def found(drafts)
          return unless @settings.match

          values = drafts.filter_map { |read| read.typed[@settings.match] }.uniq
          Store::RecordTable.new(@table).numbers_by(@settings.match, values)
        end

        def one(row, typed, reasons, there)
          return refuse(row, nil, reasons) if reasons.any?

          id = nil
          if there
            value = typed[@settings.match]
            ids = value.nil? ? [] : there.fetch(Store::RecordTable.sought(value), [])
            if ids.length > 1
              return (
                refuse(
                  row,
                  nil,
                  [
                    RowToDraft.reason(
                      @settings.match,
                      Core::Messages[
                        "imports.run.several_have_value",
                        number: ids.length,
                        examples: ids.first(5).join(", ")
                      ]
                    )
                  ]
                )
              )
            end

            id = ids.first
          end
          write_one(row, typed, id)
        end

        def write_one(row, typed, id, ahead = nil)
          stored = id && Store::RecordTable.new(@table).find(id)
          # Of its first records the report tells all changes.
          ahead&.row = nil unless @result.report.shown_all? && ahead&.row&.any?
          record = stored && Services::StoredRecord.new(id: id, values: stored)
          answer = @writer.write(typed, stored: record, ahead: ahead)
          changed = ahead&.row ? true : answer.outcome.changes.any?
          @result.report.add(row.number, answer, id, changed: changed)
          if answer.state == :refused
            return @refused&.add(
              row,
              answer
                  .outcome
                  .refusals
                  .map { |each| @workspace.visibility.refusal(each, @table) }
                  .map { |each| [label(each.field), each.message] }
            )
          end

          (id ? @result.changed += 1 : @result.made += 1) if changed
        end

        def refuse(row, id, reasons)
          @result.report.refuse_unseen(row.number, id, reasons)
          @refused&.add(row, reasons.map { |each| [label(each[:field]), each[:message]] })
        end

        def channel = @settings.as_was ? "import as it was" : "import"

        def label(key) = key && @table.field(key)&.label
      end
    end
  end
end
