# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Takes the rows of a source through the rules of a table, portion by portion, as a part of a change that others
      # have begun.
      class TableRows
        # made, changed:: how many records were saved
        attr_reader :made, :changed

        # @param table [Core::Design::Table]
        # @param source [#each_row]
        # @param settings [Settings]
        # @param report [Bulk::Report] that tells of them, whose batch is theirs
        # @param refused [RejectedRows::Writer, nil]
        # @param ahead [#call, nil] begins to work ahead, see WorkerClient.begin
        def initialize(workspace, table, source:, settings:, report:, refused: nil, ahead: nil)
          @workspace = workspace
          @table = table
          @source = source
          @settings = settings
          @report = report
          @refused = refused
          @ahead = ahead
          @made = @changed = 0
        end

        # @param portions [Services::Portions]
        # @param rows [Integer] how many there are, about
        # @yield [Interchange::Source::Row, Integer] each row of which a record was made, and the record's number
        # @return [void]
        def call(portions, rows, &made)
          @portions = portions
          @told = made
          @refreshed = 0
          @writer = Services::BulkRecordWriter.new(@workspace, @table.key, channel: channel, batch: @report.batch)
          @drafting = RowToDraft.new(@workspace, @table, @source, @settings)
          @linked_to_itself = @drafting.fields.any? { |field| field.target == @table.key }
          if @ahead && @settings.match.nil? && @writer.quiet?
            ahead = @ahead.call(@workspace, source: @source, table: @table, settings: @settings, rows: rows)
          end
          RowSource
            .new(@source, @drafting, @workspace.plan(@table.key), ahead)
            .each_portion { |some| portions.each(some) { |portion| write(portion) } }
        ensure
          ahead&.close
        end

        private

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
          ahead&.row = nil unless @report.shown_all? && ahead&.row&.any?
          record = stored && Services::StoredRecord.new(id: id, values: stored)
          answer = @writer.write(typed, stored: record, ahead: ahead)
          changed = ahead&.row ? true : answer.outcome.changes.any?
          @report.add(row.number, answer, id, typed, changed: changed)
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

          tell(row, answer, id) if changed
        end

        def refuse(row, id, reasons)
          @report.refuse_unseen(row.number, id, reasons)
          @refused&.add(row, reasons.map { |each| [label(each[:field]), each[:message]] })
        end

        def tell(row, answer, id)
          id ? @changed += 1 : @made += 1
          @told&.call(row, answer.record.id) unless id
        end

        def channel = @settings.as_was ? "import as it was" : "import"

        def label(key) = key && @table.field(key)&.label
      end
    end
  end
end
