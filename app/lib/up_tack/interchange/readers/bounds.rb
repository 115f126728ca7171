# frozen_string_literal: true

require "nokogiri"
require "zip"

module UpTack
  module Interchange
    module Readers
      # What a workbook says of itself that a library would simply do: repeat a cell a billion times, write
      # as many spaces, or fill a row up to a column that no spreadsheet has. Looked at before it is opened.
      module Bounds
        # Columns and rows of a sheet, as spreadsheets have them; cells with something in them, and spaces.
        COLUMNS = 16_384
        ROWS = 1_048_576
        CELLS = 5_000_000
        SPACES = 2_000_000
        # Places from the first cell to the last that are gone through one by one.
        PLACES = 30_000_000

        module_function

        # @param path [String] of the file
        # @param format [String] "xlsx" or "ods"
        # @return [String, nil] what is beyond measure
        def problem(path, format)
          Zip::File.open(path) do |zip|
            return ods(zip) if format == "ods"

            zip.glob("xl/worksheets/*.xml").lazy.filter_map { |entry| columns(entry) }.first
          end
        end

        def ods(zip)
          Nokogiri::XML::SAX::Parser.new(OdsWalk.new).parse(zip.find_entry("content.xml").get_input_stream)
          nil
        rescue OdsWalk::Beyond => e
          e.message
        end

        # A column of four letters is beyond the last that there is; names may lie across two parts.
        def columns(entry)
          last = +""
          stream = entry.get_input_stream
          while (part = stream.read(1 << 20))
            text = last << part
            if text.match?(/\br="[A-Z]{4,}\d*"/) || text.match?(/\br="(?:XF[E-Z]|X[G-Z][A-Z]|[YZ][A-Z]{2})\d+"/)
              return "a cell beyond the last column there is"
            end

            last = +text[-64..].to_s
          end
          nil
        end

        # Counts what a sheet of an ODS comes to (ISO/IEC 26300-1, 9.1: repeated rows, columns and spaces).
        class OdsWalk < Nokogiri::XML::SAX::Document
          # More than there can be.
          class Beyond < StandardError; end

          def initialize
            super
            @cells = @spaces = 0
            new_sheet
          end

          def start_element_namespace(name, attributes = [], _prefix = nil, _uri = nil, _spaces = [])
            case name
            when "table" then new_sheet
            when "table-row" then begin_row(repeated(attributes, "number-rows-repeated"))
            when "table-cell", "covered-table-cell" then cell(attributes)
            when "s" then spaces(repeated(attributes, "c"))
            when "p" then @filled = true
            end
          end

          def end_element_namespace(name, _prefix = nil, _uri = nil)
            case name
            when "table-cell", "covered-table-cell" then end_cell
            when "table-row" then end_row
            end
          end

          private

          def new_sheet = @row = @last_row = @last_column = 0

          def begin_row(times)
            @times = times
            @column = @in_row = 0
          end

          def cell(attributes)
            @wide = repeated(attributes, "number-columns-repeated")
            @filled =
              attributes.any? do |each|
                %w[value string-value date-value time-value boolean-value formula].include?(each.localname)
              end
          end

          def end_cell
            @column += @wide.to_i
            return unless @filled

            @in_row += @wide
            @last_column = [@last_column, @column].max
            raise Beyond, "a cell beyond the last column there is" if @column > COLUMNS
          end

          def end_row
            @row += @times.to_i
            return if @in_row.zero?

            @last_row = @row
            @cells += @in_row * @times
            raise Beyond, "a cell beyond the last row there is" if @row > ROWS
            raise Beyond, "more than #{CELLS / 1_000_000} million cells" if @cells > CELLS
            raise Beyond, "its last cell too far from the first" if @last_row * @last_column > PLACES
          end

          def spaces(times)
            @spaces += times
            raise Beyond, "more than #{SPACES / 1_000_000} million spaces" if @spaces > SPACES
          end

          def repeated(attributes, name) =
            attributes
              .find { |each| each.localname == name }
              &.value
              .to_s
              .then { |text| text.empty? ? 1 : text.to_i.clamp(0, 1 << 40) }
        end
      end
    end
  end
end
