# frozen_string_literal: true

require "roo"

module UpTack
  module Interchange
    module Readers
      # Rows of a sheet of a workbook, XLSX (ISO/IEC 29500) or ODS (ISO/IEC 26300). Formulas
      # come as the values that they had when the file was saved.
      class Workbook
        # Bytes that a workbook may come to when it is unpacked, and how many times as much
        # as it is packed: what is beyond is no honest workbook.
        MOST_UNPACKED = {"xlsx" => 1_500_000_000, "ods" => 60_000_000}.freeze
        MOST_RATIO = 400
        # Unpacked bytes below which the ratio does not matter.
        SMALL = 20_000_000
        TYPES = {"xlsx" => "[Content_Types].xml", "ods" => "content.xml"}.freeze
        # Bytes of the texts that a workbook keeps apart, which are held while it is read.
        MOST_TEXTS = 120_000_000
        # Cells after which what is no longer needed of them is let go.
        TIDY_UP = 100_000
        # Bytes from which on a workbook is large.
        LARGE = 5_000_000
        # Seconds of a day.
        DAY = 86_400
        # What the libraries raise on a damaged file: not only errors of their own, but whatever
        # comes of a length or an offset that makes no sense.
        DAMAGE = [StandardError, ScriptError, SystemStackError].freeze

        # @return [String] "xlsx" or "ods"
        # @raise [Unreadable]
        def self.format(path, name)
          entries = Zip::File.open(path) { |zip| zip.entries.map { |entry| [entry.name, entry.size] } }
          found = TYPES.find { |_, entry| entries.any? { |known, _| known == entry } }&.first or
            raise Unreadable, Core::Messages["interchange.workbook.is_packed_file_but_no_workbook", name: name]
          check_size(path, name, found, entries.sum(&:last))
          texts = entries.find { |known, _| known == "xl/sharedStrings.xml" }&.last.to_i
          if texts > MOST_TEXTS
            raise Unreadable,
              Core::Messages["interchange.workbook.holds_mb_of_texts_too_much", name: name, size: texts / 1_000_000]
          end

          beyond = Bounds.problem(path, found)
          if beyond
            raise Unreadable,
              Core::Messages[
                "interchange.workbook.says_it_holds_which_no_honest_workbook",
                name: name,
                beyond: beyond
              ]
          end

          found
        rescue Unreadable
          raise
        rescue *DAMAGE
          raise Unreadable,
            Core::Messages["interchange.workbook.is_workbook_cant_be_opened", name: name]
        end

        def self.check_size(path, name, format, unpacked)
          packed = File.size(path)
          if unpacked > SMALL && unpacked / packed > MOST_RATIO
            raise Unreadable,
              Core::Messages[
                "interchange.workbook.would_unpack_to_mb_from_mb",
                name: name,
                size: unpacked / 1_000_000,
                packed: (packed / 1_000_000.0).ceil
              ]
          end
          return if unpacked <= MOST_UNPACKED.fetch(format)

          raise Unreadable,
            Core::Messages[
              "interchange.workbook.holds_mb_too_much_for_format_here",
              name: name,
              size: unpacked / 1_000_000
            ]
        end
        private_class_method :check_size

        attr_reader :format, :columns, :notes

        # @return [Array<String>] names of its sheets
        attr_reader :sheets
        # @return [String] the one that is read
        attr_reader :sheet

        # @param options [Hash{String=>String}] "sheet" names the one to read; the first with rows without it
        # @raise [Unreadable]
        def initialize(path, name, format, options = {})
          @path = path
          @name = name
          @format = format
          opening do |book|
            @sheets = book.sheets
            @sheet =
              @sheets.include?(options["sheet"]) ? options["sheet"] : @sheets.find { |each| first_row(book, each) }
            head = @sheet && first_row(book, @sheet) or
              raise Unreadable, Core::Messages["interchange.all.has_no_rows", name: name]
            head = head.reverse.drop_while(&:nil?).reverse
            @columns, @notes = Source.columns(head, name)
            if @sheets.length > 1
              @notes =
                [Core::Messages["interchange.workbook.it_has_sheets", number: @sheets.length, sheet: @sheet]] + @notes
            end
          end
        end

        # @return [Integer] rows, about, by which progress is told
        def size = @size ||= opening { |book| (format == "xlsx") ? counted(book) : book.sheet(sheet).last_row.to_i }

        # @yield [Source::Row] each row after the head
        # @yieldparam place [Integer] how many rows are read
        def each_row
          number = 0
          opening do |book|
            rows(book, sheet) do |cells|
              number += 1
              next if number == 1 || cells.all?(&:nil?)

              extra = cells.drop(columns.length).any?
              if extra
                problem =
                  Core::Messages["interchange.all.row_has_cells_head", cells: cells.length, number: columns.length]
              end
              row = Source::Row.new(number, Array.new(columns.length) { |index| cells[index] }, problem)
              apart { yield row, number }
            end
          end
        end

        private

        # The library would hold every cell to tell how many rows there are.
        def counted(book)
          book.sheet_for(sheet)
          found = 0
          File.open(book.sheet_files[book.sheets.index(sheet)], "rb") do |file|
            while (chunk = file.read(1 << 20))
              found += chunk.scan(%r{</(?:\w+:)?row>}).length
            end
          end
          found
        end

        def first_row(book, sheet)
          rows(book, sheet) { |cells| return cells if cells.any? }
          nil
        end

        def rows(book, sheet, &block)
          return stream(book, sheet, &block) if format == "xlsx"

          page = book.sheet(sheet)
          if page.first_row
            (page.first_row.to_i..page.last_row.to_i).each do |row|
              yield(
                (1..page.last_column.to_i).map do |column|
                  cell_value(page.cell(row, column), page.celltype(row, column))
                end
              )
            end
          end
        end

        # An empty row between others is no row in the file; numbers are the sheet's own.
        def stream(book, sheet)
          before = held = 0
          book.each_row_streaming(sheet: sheet, pad_cells: true) do |cells|
            at = cells.compact.first&.coordinate&.row || (before + 1)
            (at - before - 1).times { yield [] } if at > before + 1 && at - before < 100_000
            before = at
            held = tidy_up(held + cells.length)
            yield cells.map { |cell| cell && cell_value(cell.value, cell.type) }
          end
        end

        # What the library makes of each row lies where Ruby does not see that memory runs short.
        def tidy_up(held)
          return held if held < TIDY_UP

          GC.start
          0
        end

        def cell_value(value, type)
          case value
          when nil then nil
          when DateTime then moment(value)
          when Date then Core::Calendar.same(value)
          when true, false, BigDecimal then value
          when Integer then (type == :time) ? clock(value) : BigDecimal(value)
          when Float then (type == :time) ? clock(value) : BigDecimal(value, Core::Numbers::KEPT_DIGITS)
          else
            text = value.to_s
            if text.length > Source::LONGEST_CELL
              raise Unreadable,
                Core::Messages[
                  "interchange.workbook.cell_of_holds_characters",
                  name: @name,
                  length: Core::Values::Plain.grouped(text.length),
                  most: Core::Values::Plain.grouped(Source::LONGEST_CELL)
                ]
            end

            text.empty? ? nil : text
          end
        end

        # A spreadsheet counts days as a binary fraction: what it shows is the nearest second.
        def moment(value)
          at =
            Time.utc(value.year, value.month, value.day, value.hour, value.minute, value.second) +
            value.sec_fraction.round
          (at.hour.zero? && at.min.zero? && at.sec.zero?) ? Core::Calendar.date_of(at) : at
        end

        def clock(seconds) = Time.at(seconds.to_i % DAY).utc.strftime("%H:%M")

        # What whoever takes the rows raises is no fault of the file.
        def apart
          yield
        rescue *DAMAGE => e
          @outside = e
          raise
        end

        def opening
          book =
            if format == "xlsx"
              Roo::Excelx.new(@path, file_warning: :ignore, no_hyperlinks: true)
            else
              Roo::OpenOffice.new(@path, file_warning: :ignore)
            end
          yield book
        rescue *DAMAGE => e
          raise if e.is_a?(Unreadable) || e.equal?(@outside)

          raise Unreadable,
            Core::Messages[
              "interchange.workbook.is_workbook_cant_be_read",
              name: @name,
              reason: e.class.name.split("::").last
            ]
        ensure
          book&.close
          GC.start if File.size(@path) > LARGE # What it unpacked is not held until the next one is opened.
        end
      end
    end
  end
end
