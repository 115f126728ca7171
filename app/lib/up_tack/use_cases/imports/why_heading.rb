# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # The heading of the column that says why rows were refused, which is ignored when their file comes
      # in again. It also says how the file was read: the rows that told so may no longer be among them.
      #
      # It has neither commas nor semicolons, which may separate the cells of a file.
      #
      #   Up Tack says (dates dmy / decimals point / column 3: mdy point)
      module WhyHeading
        START = "Up Tack says"
        MARKS = {"." => "point", "," => "comma"}.freeze
        GENERAL = %r{\A#{START} \(dates (dmy|mdy|ymd) / decimals (point|comma)}
        OTHER = /column (\d+): (dmy|mdy|ymd) (point|comma)/

        module_function

        # @param name [String] of a column
        def ours?(name) = name.start_with?(START)

        # @param readings [Array<Array(String, String)>] order of dates and decimal mark of each column
        # @return [String]
        def write(readings)
          usual = readings.tally.max_by(&:last)&.first or return START
          others = readings.each_with_index.reject { |reading, _| reading == usual }
          told = others.map { |(dates, decimal), index| "column #{index + 1}: #{dates} #{MARKS.fetch(decimal)}" }
          "#{START} (#{["dates #{usual[0]}", "decimals #{MARKS.fetch(usual[1])}", *told].join(" / ")})"
        end

        # @param columns [Array<String>] names of a file's columns
        # @return [Array<Array(String, String), nil>] what is known of each
        def read(columns)
          found = columns.filter_map { |name| name.match(GENERAL) }.first or return []
          readings = Array.new(columns.length) { found.captures }
          found.string.scan(OTHER) { |column, *reading| readings[column.to_i - 1] = reading }
          readings.map { |dates, mark| [dates, MARKS.key(mark)] }
        end
      end
    end
  end
end
