# frozen_string_literal: true

module UpTack
  module Interchange
    module Readers
      module Sheets
        # Cells that are shown as one: every place of theirs has what the first one holds.
        class Merged
          # rows, columns:: Ranges, from 1 and from 0
          Area = Struct.new(:rows, :columns)

          def initialize
            @areas = []
            @values = {}
          end

          # @param rows [Range] @param columns [Range]
          # @return [void]
          def add(rows, columns) = @areas << Area.new(rows, columns)

          def any? = @areas.any?

          # @param number [Integer] of the row, which come one after the other
          # @param cells [Array<Object>]
          # @return [Array<Object>]
          def fill(number, cells)
            @areas.each do |area|
              next unless area.rows.cover?(number)

              @values[area] = cells[area.columns.begin] if number == area.rows.begin
              area.columns.each { |column| cells[column] = @values[area] unless @values[area].nil? }
            end
            @areas.reject! { |area| area.rows.end <= number && @values.delete(area).then { true } } if number % 64 == 0
            cells
          end
        end
      end
    end
  end
end
