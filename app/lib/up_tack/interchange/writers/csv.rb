# frozen_string_literal: true

module UpTack
  module Interchange
    module Writers
      # RFC 4180, in UTF-8 with a byte order mark so that spreadsheets read it as such; otherwise only where a
      # file goes back to whoever wrote it so.
      class Csv
        MARK = "\uFEFF"
        # Encodings that are told by what is in a file.
        KNOWN = %w[UTF-8 UTF-16LE UTF-16BE Windows-1252].freeze

        # @param decimal_mark [String] as the firm writes numbers
        # @param delimiter [String]
        # @param encoding [String] one of KNOWN; another one is written as UTF-8
        def initialize(io, columns, decimal_mark: ".", delimiter: ",", encoding: "UTF-8", **)
          @io = io
          @decimal_mark = decimal_mark
          @delimiter = delimiter
          @encoding = KNOWN.include?(encoding) ? encoding : "UTF-8"
          put(MARK) if @encoding.start_with?("UTF")
          line(columns.map { |name| Writers.harmless(name) })
        end

        def <<(cells)
          line(cells.map { |cell| text(cell) })
          self
        end

        def finish = self

        private

        def line(cells) = put(CSV.generate_line(cells, row_sep: "\r\n", col_sep: @delimiter))

        def put(text)
          @io << ((@encoding == "UTF-8") ? text : text.encode(@encoding, undef: :replace, replace: "?").b)
        end

        def text(cell)
          case cell
          when BigDecimal then Core::Numbers.digits(cell).tr(".", @decimal_mark)
          when Date then cell.iso8601
          when Time then cell.getutc.iso8601
          when true then "yes"
          when false then "no"
          else Writers.harmless(cell)
          end
        end
      end
    end
  end
end
