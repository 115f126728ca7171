# frozen_string_literal: true

module UpTack
  module Interchange
    module Readers
      # Rows of a text file: RFC 4180, and what people really have. Encoding, delimiter
      # and line ends are told by what is in the file.
      class Csv
        DELIMITERS = [",", ";", "\t", "|"].freeze
        # Characters looked at to tell the delimiter, and lines.
        SAMPLE = 65_536
        # Those in which files are written, as Ruby names them.
        ENCODINGS = %w[
          UTF-8 Windows-1252 Windows-1250 ISO-8859-1 ISO-8859-2 ISO-8859-15 macRoman Shift_JIS UTF-16LE UTF-16BE
        ].freeze
        # A first line by which some programs tell what separates the cells.
        SEPARATED = /\Asep=(.)\r?\n?\z/
        # What stands for bytes that are no text.
        LOST = "\uFFFD"

        # @return [String] "csv"
        def format = "csv"

        # @return [Array<String>] names of the columns
        attr_reader :columns
        # @return [Array<String>] what people should know of how it was read
        attr_reader :notes
        # @return [String] as Ruby names it
        attr_reader :encoding
        # @return [String]
        attr_reader :delimiter

        # @param path [String]
        # @param name [String]
        # @param options [Hash{String=>String}] "delimiter", one of DELIMITERS, "encoding", one of ENCODINGS, and
        #   "heading", see Heading
        # @raise [Unreadable]
        def initialize(path, name, options = {})
          @path = path
          @name = name
          found = EncodingDetector.call(path)
          @mark = found.mark
          @encoding = chosen_encoding(options["encoding"].to_s) || found.name
          @mixed = options["encoding"] ? [] : found.mixed
          sample = read_sample
          raise Unreadable, Core::Messages["interchange.csv.holds_no_text", name: name] if sample.include?("\0")

          told = sample.lines.first.to_s[SEPARATED, 1]
          @told = !told.nil?
          sample = sample.lines.drop(1).join if @told
          @delimiter = chosen_delimiter(options["delimiter"].to_s) || told || tell_delimiter(sample)
          @spaced = sample.match?(/"[ \t]+#{Regexp.escape(@delimiter)}|#{Regexp.escape(@delimiter)}[ \t]+"/)
          @ends = tell_ends(sample)
          @heading = Heading.find(first_rows, options["heading"], name)
          @columns, notes = Source.columns(@heading.names, name)
          @notes = [*(mixed_note if @mixed.any?), *@heading.notes, *notes]
        end

        # @return [Integer] number of the row with the names of columns; 0 where there is none
        def heading = @heading.number

        def mixed_note
          most = EncodingDetector::MOST_LINES
          lines = "#{@mixed.first(most).join(", ")}#{" and more" if @mixed.length > most}"
          Core::Messages[
            "interchange.csv.it_is_written_in_several_encodings",
            plural: ("s" if @mixed.length > 1),
            lines: lines
          ]
        end

        # @return [Hash{Symbol=>Object}] how it is read: encoding:, delimiter: and heading:
        def read_as = {encoding: encoding, delimiter: delimiter, heading: heading}

        # @return [Integer] its size, by which progress is told
        def size = File.size(@path)

        # @yield [Source::Row] each row after the head
        # @yieldparam place [Integer] how many bytes are read
        # @return [void]
        def each_row
          each_line_of_cells do |cells, number, place|
            yield row(number, cells), place unless number <= heading || Heading.blank?(cells)
          end
        end

        private

        def chosen_encoding(given)
          return if given.empty?
          return given if ENCODINGS.include?(given)

          known = ENCODINGS.join(", ")
          raise Unreadable, Core::Messages["interchange.csv.no_such_encoding", given: given, known: known]
        end

        def chosen_delimiter(given)
          return if given.empty?
          return given if DELIMITERS.include?(given)

          raise Unreadable, Core::Messages["interchange.csv.no_such_delimiter", given: given]
        end

        # Strictly read, a file takes half the time. What is no RFC 4180 is read once more from
        # there on as people really write it, which finds the same in all rows before.
        def each_line_of_cells
          number = 0
          broken = false
          lines(strictly: true) do |csv, io|
            csv.each { |cells| yield cells, number += 1, io.pos }
          rescue CSV::MalformedCSVError
            broken = true
          end
          return unless broken

          passed = number
          number = 0
          lines do |csv, io|
            while (cells = shift(csv, number += 1))
              yield cells, number, io.pos if number > passed
            end
          end
        end

        def row(number, cells)
          count = columns.length
          if cells.length != count
            extra = cells.drop(count)
            if extra.any? { |cell|
              !cell.to_s.empty?
            }
              problem = Core::Messages["interchange.all.row_has_cells_head", cells: cells.length, number: count]
            end
            cells = Array.new(count) { |index| cells[index] }
          end
          bad = @mixed.any? ? cells.index { |cell| cell&.include?(LOST) } : nil
          if bad
            problem ||=
              Core::Messages["interchange.csv.holds_bytes_are_no_text", column: columns[bad], encoding: encoding]
          end
          Source::Row.new(number, cells, problem, true)
        end

        # Of which the head is one. Those after it may be broken, which is told once they are read.
        def first_rows
          rows = []
          number = 0
          lines do |csv, _|
            while rows.length < Heading::ROWS && (cells = first_row(csv, number += 1, rows))
              rows << [number, cells] unless Heading.blank?(cells)
            end
          end
          raise Unreadable, Core::Messages["interchange.all.has_no_rows", name: @name] if rows.empty?

          rows
        end

        def first_row(csv, number, before)
          shift(csv, number)
        rescue Unreadable
          raise if before.empty?
        end

        # Broken quotes are told with their row; a quote that is never closed ends a file
        # that was cut off.
        def shift(csv, number)
          csv.shift
        rescue CSV::MalformedCSVError => e
          why =
            if e.message.include?("Unclosed")
              "a quote is opened and never closed; the file may have been cut off"
            else
              "a quotation mark is in the middle of a cell, or a cell is " \
                "beyond #{Core::Values::Plain.grouped(Source::LONGEST_CELL)} characters"
            end
          raise Unreadable, Core::Messages["interchange.csv.row_of_cant_be_read", number: number, name: @name, why: why]
        end

        def lines(strictly: false)
          File.open(@path, "rb") do |file|
            file.seek(@mark)
            file.set_encoding(
              @encoding,
              (@encoding == "UTF-8") ? nil : "UTF-8",
              invalid: :replace,
              undef: :replace,
              replace: LOST
            )
            file.gets if @told
            odd = @ends == :mixed || @mixed.any? || @spaced
            text = odd ? Lines.new(file, spaced: (@delimiter if @spaced)) : file
            yield(
              CSV.new(
                text,
                col_sep: @delimiter,
                row_sep: odd ? "\n" : @ends,
                liberal_parsing: !strictly,
                max_field_size: Source::LONGEST_CELL
              ),
              file
            )
          end
        end

        def read_sample
          File.open(@path, "rb") do |file|
            file.seek(@mark)
            raw = file.read(SAMPLE) || String.new
            raw.force_encoding(@encoding).encode("UTF-8", invalid: :replace, undef: :replace)
          end
        end

        # The one that divides most lines into the same number of cells.
        def tell_delimiter(sample)
          lines = sample.gsub(/"[^"]*"/, "x").split(/\r\n|\r|\n/).reject(&:empty?).first(50)
          DELIMITERS.max_by do |sign|
            counts = lines.map { |line| line.count(sign) }
            usual = counts.tally.reject { |count, _| count.zero? }.max_by { |count, times| [times, count] } || [0, 0]
            [usual.last, usual.first, -DELIMITERS.index(sign)]
          end
        end

        def tell_ends(sample)
          bare = sample.gsub(/"[^"]*"/m, "")
          found =
            {
              "\r\n" => bare.scan("\r\n").length,
              "\n" => bare.scan(/(?<!\r)\n/).length,
              "\r" => bare.scan(/\r(?!\n)/).length
            }.reject { |_, times| times.zero? }
          (found.length > 1) ? :mixed : found.keys.first || "\n"
        end
      end
    end
  end
end
