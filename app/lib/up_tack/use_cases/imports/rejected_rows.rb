# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # The rows that were refused, as they stood in the file and with why: kept in a file,
      # since they may be many, and given out in the format that went in.
      module RejectedRows
        # Writes them one by one.
        class Writer
          # @param settings [Settings] by which their file was read
          def initialize(path, settings)
            @path = path
            @file = File.open(path, "w")
            readings = settings.columns.map { |taken| [taken.dates, taken.decimal] }
            @file.puts(JSON.generate({"readings" => readings}))
          end

          # @param row [Interchange::Source::Row]
          # @param reasons [Array<Array(String, String)>] labels of fields, and messages
          def add(row, reasons)
            cells = row.cells.map { |cell| serialized(cell) }
            @file.puts(
              JSON.generate(
                [row.number, cells, reasons.map { |label, message| [label, message].compact.join(": ") }.join(" ")]
              )
            )
          end

          def close = @file.close

          private

          def serialized(cell)
            case cell
            when BigDecimal then {"n" => cell.to_s("F")}
            when Date then {"d" => cell.iso8601}
            when Time then {"t" => cell.getutc.iso8601}
            else cell
            end
          end
        end

        module_function

        # @return [Array<Array(String, String)>] order of dates and decimal mark of each column
        def readings(path)
          head = JSON.parse(File.open(path, &:gets))
          head.is_a?(Hash) ? head["readings"] : []
        end

        # @yield [Integer, Array<Object>, String] each row's number, cells and why
        def each(path)
          File.foreach(path) do |line|
            row = JSON.parse(line)
            next if row.is_a?(Hash)

            number, cells, why = row
            yield number, cells.map { |cell| cell.is_a?(Hash) ? typed(cell) : cell }, why
          end
        end

        def typed(cell)
          return BigDecimal(cell["n"]) if cell["n"]

          cell["d"] ? Core::Calendar.iso8601(cell["d"]) : Time.iso8601(cell["t"])
        end
      end
    end
  end
end
