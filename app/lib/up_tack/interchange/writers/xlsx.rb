# frozen_string_literal: true

module UpTack
  module Interchange
    module Writers
      # A workbook of one sheet (ISO/IEC 29500): numbers, days and yes/no as such, widths
      # after what is in the columns, the head in sight while the rest scrolls.
      class Xlsx
        # Cells at most: the workbook is put together in memory.
        MOST_CELLS = 1_500_000
        WIDEST = 60
        NARROWEST = 8
        # A workbook counts days from 1900, and takes that year for a leap year; earlier ones are text.
        FIRST_YEAR = 1901

        def initialize(io, columns, name: "Records", **)
          @io = io
          @columns = columns
          @package = Axlsx::Package.new
          @package.use_shared_strings = false
          book = @package.workbook
          book.escape_formulas = true
          @day = book.styles.add_style(format_code: "yyyy-mm-dd")
          @moment = book.styles.add_style(format_code: "yyyy-mm-dd hh:mm:ss")
          @sheet = book.add_worksheet(name: name.gsub(%r{[\[\]*/\\?:]}, " ")[0, 31])
          @sheet.add_row(
            columns.map { |column| Writers.harmless(column) },
            style: book.styles.add_style(b: true),
            types: :string
          )
          @widths = columns.map { |column| column.to_s.length }
          @cells = columns.length
        end

        # @raise [Core::Invalid] beyond MOST_CELLS
        def <<(cells)
          cells = cells.map { |cell| early?(cell) ? written(cell) : cell }
          @cells += cells.length
          if @cells > MOST_CELLS
            Core::Invalid.because(
              Core::Messages[
                "interchange.xlsx.workbook_takes_cells_here",
                most: Core::Values::Plain.grouped(MOST_CELLS)
              ]
            )
          end

          @sheet.add_row(
            cells.map { |cell| value(cell) },
            types: cells.map { |cell| type(cell) },
            style: cells.map { |cell| style(cell) }
          )
          cells.each_with_index { |cell, index| @widths[index] = [@widths[index], shown(cell)].max }
          self
        end

        def finish
          @sheet.column_widths(*@widths.map { |width| (width + 2).clamp(NARROWEST, WIDEST) })
          @sheet.sheet_view.pane { |pane| (pane.state = :frozen) && (pane.y_split = 1) && (pane.top_left_cell = "A2") }
          @io << @package.to_stream.string
          self
        end

        private

        def early?(cell) = (cell.is_a?(Date) || cell.is_a?(Time)) && cell.year < FIRST_YEAR
        def written(cell) = cell.is_a?(Date) ? cell.iso8601 : cell.strftime("%Y-%m-%d %H:%M:%S")

        def value(cell)
          case cell
          when BigDecimal then cell.frac.zero? ? cell.to_i : cell.to_f
          when String then Writers.harmless(cell)
          else cell
          end
        end

        def type(cell)
          case cell
          when BigDecimal then cell.frac.zero? ? :integer : :float
          when Date then :date
          when Time then :time
          when true, false then :boolean
          else :string
          end
        end

        def style(cell)
          case cell
          when Date then @day
          when Time then @moment
          end
        end

        def shown(cell) = if cell.is_a?(Date)
                            10
                          else
                            (cell.is_a?(Time) ? 19 : cell.to_s.length)
                          end
      end
    end
  end
end
