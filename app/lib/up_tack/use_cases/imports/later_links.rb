# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Sets links of records that were made of a file once all records are there to which they lead: of a table that
      # is linked to itself, or of tables in a circle.
      class LaterLinks
        # @param table [Core::Design::Table]
        # @param keys [KeyMap] of the links
        # @param report [Bulk::Report] which is told of those that are refused
        def initialize(workspace, table, keys:, report:)
          @workspace = workspace
          @table = table
          @keys = keys
          @report = report
        end

        # @param source [#each_row]
        # @param fields [Array<CollectionPlan::Field>] the links
        # @param own [String] column by whose values the records themselves are known
        # @param portions [Services::Portions]
        # @return [void]
        def call(source, fields, own, portions)
          @writer = Services::BulkRecordWriter.new(@workspace, @table.key, channel: "import", batch: @report.batch)
          @places = fields.to_h { |field| [field.key, source.columns.index(field.column)] }
          @own = source.columns.index(own)
          @own_column = own
          portions.each(rows(source)) do |some|
            @workspace.clock.still do
              some.each { |row| write(row) }
              @writer.finish
            end
          end
        end

        private

        def rows(source)
          Enumerator.new { |into| source.each_row { |row, _| into << row if row.problem.nil? && linked?(row) } }
        end

        def linked?(row) = @places.each_value.any? { |place| !text(row, place).empty? }

        def text(row, place) = row.cells[place].nil? ? "" : Interchange::Profile.text(row.cells[place]).strip

        def write(row)
          id = @keys.id(@table.key, @own_column, text(row, @own)) or return # It was refused itself.
          typed = @places.filter_map { |key, place|
            said = text(row, place)
            [key, @keys.find(key, said) || said] unless said.empty?
          }.to_h
          stored = Store::RecordTable.new(@table).find(id) or return
          answer = @writer.write(typed, stored: Services::StoredRecord.new(id: id, values: stored))
          @report.add(row.number, answer, id) if answer.state == :refused
        end
      end
    end
  end
end
