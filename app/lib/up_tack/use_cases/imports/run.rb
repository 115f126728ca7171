# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Takes the rows of a file through the rules, in one transaction and portion by
      # portion, as one change that can be taken back. Tried, it does the very same and
      # then takes it back.
      class Run
        # made, changed:: records saved; report:: the Bulk::Report of all rows
        # refused:: path of the RefusedRows, nil where none were
        Result = Struct.new(:made, :changed, :report, :refused, keyword_init: true)
        # Rows between two looks at the clock.
        PORTION = 1_000

        # @param progress [Upkeep::Progress]
        def initialize(workspace, progress: Upkeep::Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @param source [#each_row]
        # @param table [String] key
        # @param settings [Settings]
        # @param keep [String] one of Bulk::KEEP
        # @param refused [String, nil] where to write the rows that are refused
        # @param name [String] of the file
        # @param rows [Integer] how many there are, about
        # @return [Result]
        # @raise [Interchange::Unreadable, Upkeep::Stopped, Core::Design::Invalid, NotAllowed]
        def call(source:, table:, settings:, keep:, name:, refused: nil, rows: 0)
          @source = source
          @settings = settings
          @refused = refused && RefusedRows::Writer.new(refused)
          @links = Links.new(@workspace)
          @result = Result.new(made: 0, changed: 0, refused: refused)
          check(@workspace.table(table))
          Bulk.attempt(@workspace, keep) { work(table, name, rows) }
          @result
        ensure
          @refused&.close
        end

        private

        def check(table)
          NotAllowed.unless_may(@workspace.person, table, :edit)
          taken = @settings.columns.select(&:field)
          Core::Design::Invalid.because("No column belongs to a field.", part: "columns") if taken.empty?
          Fields.check(table, taken.to_h { |each| [each.field, nil] })
          twice = taken.map(&:field).tally.find { |_, times| times > 1 }
          Core::Design::Invalid.because("Two columns belong to #{table.field(twice.first).label}.", part: "columns") if twice
          missing = taken.map(&:column) - @source.columns
          Core::Design::Invalid.because("The file has no column “#{missing.first}”.", part: "columns") if missing.any?
          Core::Design::Invalid.because("Records are found by a field that one of the columns belongs to.", part: "match") if @settings.match && taken.none? { |each| each.field == @settings.match }
        end

        def work(table, name, rows)
          @table = @workspace.table(table)
          @result.report = Bulk::Report.new(@table, @workspace.context.records)
          @result.report.batch = @batch = Store::Batch.begin(@workspace, @table, "Imported from #{name[0, 120]}")
          @cells = cells
          @writer = RecordWriter.new(@workspace, @table.key, way: "import", batch: @batch, holding: true)
          @linked_to_itself = @cells.any? { |cell| cell.first.field.target == @table.key }
          @progress.begin(@table.label, name, rows)
          portion = []
          @source.each_row do |row, _|
            portion << row
            next if portion.length < PORTION

            write(portion)
            portion = []
          end
          write(portion)
          @result.report
        end

        # @return [Array<Array(Cells, Integer)>] with the place of each column
        def cells
          places = @source.columns.each_with_index.to_h
          sheet = %w[csv xlsx ods].include?(@source.format)
          @settings.columns.select(&:field).map { |taken| [Cells.new(@table.field(taken.field), taken, @workspace.project.conventions, @links, sheet: sheet), places.fetch(taken.column)] }
        end

        # What is held back is written after each portion, so that it does not grow without end.
        def write(portion)
          return if portion.empty?

          drafts = portion.map { |row| [row, *drafted(row)] }
          there = found(drafts)
          drafts.each { |row, typed, reasons| one(row, typed, reasons, there) }
          @writer.finish
          @links.forget(@table.key) if @linked_to_itself
          @progress.advance(portion.length)
        end

        # @return [Array(Hash, Array<Hash>)] raw input by field, and what stands against it
        def drafted(row)
          return [{}, [reason(nil, row.problem)]] if row.problem

          reasons = []
          typed = @cells.each_with_object({}) do |(cell, place), found|
            value = row.cells[place]
            if blank?(value)
              found[cell.field.key] = nil if @settings.blanks == "kept"
            else
              found[cell.field.key] = cell.raw(value)
            end
          rescue Cells::Wrong => e
            reasons << reason(cell.field.key, e.message)
          end
          [typed, reasons]
        end

        def blank?(value) = value.nil? || (value.is_a?(String) && value.match?(/\A\s*\z/))

        # @return [Hash{Object=>Array<Integer>}, nil] records that are there, by the value that finds them
        def found(drafts)
          return unless @settings.match

          values = drafts.filter_map { |_, typed, _| typed[@settings.match] }.uniq
          Store::Rows.new(@table).numbers_by(@settings.match, values)
        end

        def one(row, typed, reasons, there)
          return refuse(row, nil, reasons) if reasons.any?

          id = nil
          if there
            value = typed[@settings.match]
            ids = value.nil? ? [] : there.fetch(Store::Rows.sought(value), [])
            return refuse(row, nil, [reason(@settings.match, "#{ids.length} records have this value: #{ids.first(5).join(", ")}.")]) if ids.length > 1

            id = ids.first
          end
          write_one(row, typed, id)
        end

        def write_one(row, typed, id)
          stored = id && Store::Rows.new(@table).find(id)
          answer = @writer.write(typed, stored: stored && Record.new(id: id, values: stored))
          @result.report.add(row.number, answer, id)
          return @refused&.add(row, answer.outcome.refusals.map { |each| [label(each.field), each.message] }) if answer.state == :refused

          (id ? @result.changed += 1 : @result.made += 1) if answer.outcome.changes.any?
        end

        def refuse(row, id, reasons)
          @result.report.refuse_unseen(row.number, id, reasons)
          @refused&.add(row, reasons.map { |each| [label(each[:field]), each[:message]] })
        end

        def label(key) = key && @table.field(key)&.label

        def reason(field, message) = {field: field, rule: nil, message: message, passable: false}
      end
    end
  end
end
