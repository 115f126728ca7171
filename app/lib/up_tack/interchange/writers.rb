# frozen_string_literal: true

require "caxlsx"

module UpTack
  module Interchange
    # Files with rows that are written, one class a format. Each is made with an IO and the
    # names of its columns, takes rows of cells with `<<`, and is ended with `finish`.
    # Cells are texts, BigDecimals, Dates, Times in UTC, true, false or nil.
    module Writers
      TYPES = {
        "csv" => "text/csv",
        "xlsx" => "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
        "ods" => "application/vnd.oasis.opendocument.spreadsheet",
        "json" => "application/json",
        "jsonl" => "application/x-ndjson"
      }.freeze
      # What a spreadsheet takes for a formula; a sign before it makes it a text, which is
      # taken away when the file comes in again.
      # Full-width signs and spaces before one count as well.
      FORMULA = /\A'*(?:[\t\r]|[[:space:]]*[=+\-@＝＋－＠])/

      module_function

      # @param format [String] a key of TYPES
      # @return [Csv, Xlsx, Ods, Json, JsonLines]
      def open(format, io, columns, **options)
        {"csv" => Csv, "xlsx" => Xlsx, "ods" => Ods, "json" => Json, "jsonl" => JsonLines}.fetch(format).new(
          io,
          columns,
          **options
        )
      end

      # @return [Object] a cell that no spreadsheet takes for a formula
      def harmless(cell) = (cell.is_a?(String) && cell.match?(FORMULA)) ? "'#{cell}" : cell
    end
  end
end
