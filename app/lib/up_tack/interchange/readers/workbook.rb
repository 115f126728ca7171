# frozen_string_literal: true

require "zip"

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
        # Bytes from which on a workbook is large.
        LARGE = 5_000_000
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

        # @param options [Hash{String=>String}] "sheet" names the one to read, the first with rows without it;
        #   "heading" as Heading has it
        # @raise [Unreadable]
        def initialize(path, name, format, options = {})
          @path = path
          @name = name
          @format = format
          opening do |book|
            @sheets = book.names
            wanted = @sheets.find { |each| each == options["sheet"] }
            @sheet = wanted || @sheets.find { |each| first_rows(book, each).any? }
            rows = @sheet ? first_rows(book, @sheet) : []
            raise Unreadable, Core::Messages["interchange.all.has_no_rows", name: name] if rows.empty?

            @heading = Heading.find(rows, options["heading"], name)
            @columns, notes = Source.columns(@heading.names, name)
            @notes = [*several_sheets, *@heading.notes, *merged(book), *notes]
          end
        end

        # @return [Integer] rows, about, by which progress is told
        def size = @size ||= opening { |book| book.count(sheet) }

        # @return [Integer] number of the row with the names of columns; 0 where there is none
        def heading = @heading.number

        # @yield [Source::Row] each row after the head
        # @yieldparam place [Integer] how many rows are read
        def each_row
          opening do |book|
            book.each_row(sheet) do |number, cells|
              next if number <= heading

              cells = cells.map { |cell| sound(cell) }
              next if Heading.blank?(cells)

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

        def several_sheets
          return if @sheets.length == 1

          Core::Messages["interchange.workbook.it_has_sheets", number: @sheets.length, sheet: @sheet]
        end

        def merged(book) = (Core::Messages["interchange.workbook.merged_cells_are_filled"] if book.merged?(@sheet))

        # Of which the head is one.
        def first_rows(book, sheet)
          rows = []
          book.each_row(sheet) do |number, cells|
            cells = cells.map { |cell| sound(cell) }
            next if Heading.blank?(cells)

            rows << [number, cells]
            break if rows.length >= Heading::ROWS
          end
          rows
        end

        def sound(cell)
          return cell unless cell.is_a?(String)

          if cell.length > Source::LONGEST_CELL
            raise Unreadable,
              Core::Messages[
                "interchange.workbook.cell_of_holds_characters",
                name: @name,
                length: Core::Values::Plain.grouped(cell.length),
                most: Core::Values::Plain.grouped(Source::LONGEST_CELL)
              ]
          end

          cell.empty? ? nil : cell
        end

        # What whoever takes the rows raises is no fault of the file.
        def apart
          yield
        rescue *DAMAGE => e
          @outside = e
          raise
        end

        def opening
          book = ((format == "xlsx") ? Sheets::Xlsx : Sheets::Ods).new(@path)
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
