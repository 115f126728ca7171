# frozen_string_literal: true

module UpTack
  module Interchange
    module Writers
      # RFC 4180 in UTF-8, with a byte order mark so that spreadsheets read it as such.
      class Csv
        MARK = "\uFEFF"

        # @param decimal_mark [String] as the firm writes numbers
        def initialize(io, columns, decimal_mark: ".", **)
          @io = io
          @decimal_mark = decimal_mark
          @io << MARK << CSV.generate_line(columns.map { |name| Writers.harmless(name) }, row_sep: "\r\n")
        end

        def <<(cells)
          @io << CSV.generate_line(cells.map { |cell| text(cell) }, row_sep: "\r\n", force_quotes: false)
          self
        end

        def finish = self

        private

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
