# frozen_string_literal: true

module UpTack
  module Interchange
    module Readers
      module Sheets
        # Cells that are shown as one: every place of theirs has what the first one holds. A row in which nothing
        # else stands stays blank.
        class Merged
          # rows, columns:: Ranges, from 1 and from 0; value:: what they show, once it is known
          Area = Struct.new(:rows, :columns, :value)

          def initialize
            @waiting = Hash.new { |areas, row| areas[row] = [] }
            @open = []
          end

          # @param rows [Range]
          # @param columns [Range]
          # @return [void]
          def add(rows, columns) = @waiting[rows.begin] << Area.new(rows, columns)

          def any? = @waiting.any? || @open.any?

          # @param number [Integer] of the row, each after the one before
          # @param cells [Array<Object>]
          # @return [Array<Object>]
          def fill(number, cells)
            @open.reject! { |area| area.rows.end < number }
            @waiting.delete(number)&.each { |area| @open << area.tap { area.value = cells[area.columns.begin] } }
            return cells if cells.all?(&:nil?)

            @open.each { |area| area.columns.each { |column| cells[column] = area.value } unless area.value.nil? }
            cells
          end
        end
      end
    end
  end
end
