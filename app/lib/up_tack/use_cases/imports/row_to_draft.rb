# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Makes of a row of a file what somebody would have typed.
      class RowToDraft
        # @param table [Core::Design::Table]
        # @param source [#columns, #format]
        # @param settings [Settings]
        def initialize(workspace, table, source, settings)
          @blanks_kept = settings.blanks == "kept"
          @links = Links.new(workspace, settings.keys)
          places = source.columns.each_with_index.to_h
          sheet = %w[csv xlsx ods].include?(source.format)
          @cells =
            settings
              .columns
              .select(&:field)
              .map do |taken|
                [
                  Cells.new(table.field(taken.field), taken, workspace.project.conventions, @links, sheet: sheet),
                  places.fetch(taken.column)
                ]
              end
        end

        # What stands against a row, or one of its cells.
        # @param field [String, nil] key
        # @return [Hash] as Bulk::Report takes it
        def self.reason(field, message) = {field: field, rule: nil, message: message, passable: false}

        # @return [Array<Core::Design::Field>] those that columns belong to
        def fields = @cells.map { |cell, _| cell.field }

        # @param row [Interchange::Source::Row]
        # @return [Array(Hash, Array<Hash>)] raw input by field, and what stands against it
        def call(row)
          return [{}, [RowToDraft.reason(nil, row.problem)]] if row.problem

          reasons = []
          typed = {}
          cells = row.cells
          @cells.each do |cell, place|
            raw = cell.raw(cells[place])
            typed[cell.field.key] = raw if @blanks_kept || !raw.nil?
          rescue Cells::Wrong => e
            reasons << RowToDraft.reason(cell.field.key, e.message)
          end
          [typed, reasons]
        end

        # Records of a table that were saved meanwhile may be meant by links from here on.
        def forget(table) = @links.forget(table)

        # The same of all tables.
        def forget_all = @links.forget_all
      end
    end
  end
end
