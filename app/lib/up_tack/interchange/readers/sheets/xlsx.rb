# frozen_string_literal: true

require "roo"

module UpTack
  module Interchange
    module Readers
      module Sheets
        # Sheets of an XLSX (ISO/IEC 29500).
        class Xlsx
          # Cells after which what is no longer needed of them is let go.
          TIDY_UP = 100_000
          REFERENCE = /<(?:\w+:)?mergeCell\s+ref="([A-Z]{1,3})(\d{1,7}):([A-Z]{1,3})(\d{1,7})"/
          CELL = Roo::Excelx::Cell

          # @param path [String]
          def initialize(path)
            @book = Roo::Excelx.new(path, file_warning: :ignore, no_hyperlinks: true, disable_html_wrapper: true)
          end

          # @return [Array<String>]
          def names = @book.sheets

          # @param sheet [String]
          # @yield [Integer, Array<Object>] number of a row and its cells; rows without any may be left out
          def each_row(sheet)
            merged = merged(sheet)
            held = 0
            before = 0
            @book.each_row_streaming(sheet: sheet, pad_cells: true) do |cells|
              number = cells.compact.first&.coordinate&.row || (before + 1)
              before = number
              held = tidy_up(held + cells.length)
              yield number, merged.fill(number, cells.map { |cell| value(cell) })
            end
          end

          # The library would hold every cell to tell how many rows there are.
          # @return [Integer]
          def count(sheet)
            found = 0
            parts(sheet) { |part, _| found += part.scan(%r{</(?:\w+:)?row>}).length }
            found
          end

          # @return [Boolean] whether cells are shown as one
          def merged?(sheet) = merged(sheet).any?

          def close = @book.close

          private

          # @return [Object] of a cell, as it is shown
          def value(cell)
            case cell
            when nil, CELL::Empty then nil
            when CELL::Number, CELL::DateTime, CELL::Date then number(cell.cell_value.to_s, cell.format)
            else cell.value
            end
          end

          # An error stands where a number would.
          def number(text, format)
            days = Float(text, exception: false) or return text
            return ShownTime.read(days, format, @book.workbook.base_date) unless ShownTime.kind(format) == :number

            text.match?(/\A-?\d+\z/) ? BigDecimal(text) : BigDecimal(days, Core::Numbers::KEPT_DIGITS)
          end

          # What the library makes of each row lies where Ruby does not see that memory runs short.
          def tidy_up(held)
            return held if held < TIDY_UP

            GC.start
            0
          end

          def merged(sheet)
            found = Merged.new
            parts(sheet) do |part, last|
              (last + part).scan(REFERENCE) do |from, top, to, bottom|
                found.add(top.to_i..bottom.to_i, column(from)..column(to)) if Regexp.last_match.end(0) > last.length
              end
            end
            found
          end

          # @yield [String, String] each part of a sheet's file, and the end of the one before
          def parts(sheet)
            @book.sheet_for(sheet)
            File.open(@book.sheet_files[@book.sheets.index(sheet)], "rb") do |file|
              last = +""
              while (part = file.read(1 << 20))
                yield part, last
                last = part[-128..] || part
              end
            end
          end

          def column(letters) = letters.each_char.reduce(0) { |sum, letter| (sum * 26) + letter.ord - 64 } - 1
        end
      end
    end
  end
end
