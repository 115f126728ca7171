# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # The refused rows as a file in the format that went in, each with why, ready to be
      # mended and brought in again.
      module CorrectedFile
        module_function

        # @param upload [Uploads::Upload]
        # @param source [#columns] that it was read as
        # @param decimal_mark [String]
        # @param io [#<<]
        # @param part [Integer, nil] of a file with several tables
        def write(upload, source, io, decimal_mark:, part: nil)
          refused = upload.refused(part)
          places = source.columns.each_index.reject { |index| WhyHeading.ours?(source.columns[index]) }
          readings = RejectedRows.readings(refused).values_at(*places).compact
          target =
            Interchange::Writers.open(
              source.format,
              io,
              [*source.columns.values_at(*places), WhyHeading.write(readings)],
              decimal_mark: decimal_mark,
              name: "Refused",
              **source.read_as.slice(:delimiter, :encoding)
            )
          RejectedRows.each(refused) do |_, cells, why|
            target << [*cells.values_at(*places).map { |cell| without_guard(cell) }, why]
          end
          target.finish
        end

        # What stood in the file stands there again: a sign that makes it harmless is not put before it twice.
        def without_guard(cell) = (cell.is_a?(String) && cell.match?(Cells::HARMLESS)) ? cell.delete_prefix("'") : cell
      end
    end
  end
end
