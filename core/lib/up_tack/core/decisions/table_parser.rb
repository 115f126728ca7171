# frozen_string_literal: true

module UpTack
  module Core
    module Decisions
      # Reads the cells of a decision table: those of the inputs as what they let
      # pass, those of the outputs as values. Every cell that can't be read is told
      # with its place.
      class TableParser
        # cells:: one Cell an input; outputs:: one value an output, nil for blank
        Row = Struct.new(:cells, :outputs)

        # @param rule [Kinds::Decision]
        # @param table [Design::Table]
        # @param reading [ParseContext] by which what was typed is understood
        def initialize(rule, table, reading)
          @rule = rule
          @table = table
          @reading = reading
          @inputs = rule.columns(table)
          @outputs = rule.writes.map { |key| table.field(key) }
        end

        # @return [Array<Row>] only for a table without problems
        def rows =
          @rule.rows.map do |row|
            Row.new(
              @inputs.each_index.map { |column| input(row, column) },
              @outputs.each_index.map { |column| output(row, column) }
            )
          end

        # @return [Array<Problem>] parts are "rows.ROW.COLUMN", counted from 0
        def problems
          @rule.rows.each_with_index.flat_map do |row, index|
            if row.length > width
              next [
                problem(
                  index,
                  0,
                  Messages["decisions.table_parser.row_has_cells", place: index + 1, row: row.length, width: width]
                )
              ]
            end

            width.times.filter_map { |column| (message = fault(row, column)) && problem(index, column, message) }
          end
        end

        # @return [Array<Array<String>>] cells in the one spelling in which they are kept
        def normalized_rows
          @rule.rows.map do |row|
            next row if row.length > width

            width.times.map { |column| fault(row, column) ? row[column].to_s : cell_text(row, column) }
          end
        end

        # @param renamed [Design::RenamedChoices]
        # @return [Array<Array<String>>] the same with choices under their new names
        def rows_with(renamed)
          columns = @inputs.map { |input| renamed.column(input.formula.tree, @table) }
          @rule.rows.map do |row|
            width.times.map do |column|
              next input(row, column).with(&columns[column]).to_s if column < @inputs.length

              field = @outputs[column - @inputs.length]
              field.listed? ? renamed.name(@table.key, field.key, row[column].to_s) : row[column].to_s
            end
          end
        end

        private

        def width = @inputs.length + @outputs.length

        def input(row, column) = Cell.read(row[column].to_s, @inputs[column], @reading)

        # @raise [Cell::Invalid]
        def output(row, column)
          field = @outputs[column]
          text = row[@inputs.length + column].to_s.strip
          # A link is kept as its number; whether that record is there shows when it is set.
          return text.to_i if field.link? && text.match?(/\A[1-9]\d{0,14}\z/)

          value = field.read(text, @reading)
          raise Cell::Invalid, value.message if value.is_a?(Values::Unreadable)

          value
        end

        def fault(row, column)
          (column < @inputs.length) ? input(row, column) : output(row, column - @inputs.length)
          nil
        rescue Cell::Invalid => e
          e.message
        end

        def cell_text(row, column)
          return input(row, column).to_s if column < @inputs.length

          value = output(row, column - @inputs.length)
          return "" if value.nil?

          if [true, false].include?(value)
            value ? "yes" : "no"
          else
            Values.dump(value).to_s
          end
        end

        def problem(row, column, message) = Problem.new(part: "rows.#{row}.#{column}", message: message)
      end
    end
  end
end
