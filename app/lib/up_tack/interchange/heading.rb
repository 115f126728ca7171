# frozen_string_literal: true

module UpTack
  module Interchange
    # Which row of a file has the names of its columns: the first one, unless there are titles above it, or as
    # somebody says.
    class Heading
      # Rows that are looked at, and the share of a usual row's cells that a heading has at least.
      ROWS = 50
      SHARE = 0.6
      # What somebody says where a file has no names of columns.
      NONE = "none"

      # number:: of the row, 0 where there is none; names:: of columns, nil where one has none
      # notes:: what people should know of it
      Found = Struct.new(:number, :names, :notes)

      class << self
        # @param rows [Array<Array(Integer, Array<Object>)>] the first ones, numbers and cells
        # @param said [String, nil] NONE, or the number of a row
        # @param file [String] name of the file
        # @return [Found]
        # @raise [Unreadable] for a row that there is not
        def find(rows, said, file)
          return Found.new(0, Array.new(rows.map { |_, cells| width(cells) }.max), []) if said == NONE

          number, cells = said ? told(rows, said, file) : guessed(rows)
          above = rows.count { |other, _| other < number }
          notes = above.zero? ? [] : [Core::Messages["interchange.heading.rows_above_are_left_out", number: number]]
          Found.new(number, cells.first(width(cells)), notes)
        end

        # @return [Boolean] whether nothing is in any of a row's cells
        def blank?(cells) = cells.all? { |cell| cell.nil? || (cell.is_a?(String) && cell.match?(/\A[[:space:]]*\z/)) }

        private

        # Titles above a table stand in few cells, and do not reach as far as its rows do.
        def guessed(rows)
          filled, width = usual(rows) { |cells| filled(cells) }, usual(rows) { |cells| width(cells) }
          rows.find { |_, cells| filled(cells) >= filled * SHARE || width(cells) >= width } || rows.first
        end

        def usual(rows) = rows.map { |_, cells| yield cells }.tally.max_by { |count, times| [times, count] }.first

        def told(rows, said, file)
          rows.find { |number, _| number.to_s == said } ||
            raise(Unreadable, Core::Messages["interchange.heading.there_is_no_such_row", number: said, name: file,
              most: ROWS])
        end

        def filled(cells) = cells.count { |cell| !blank?([cell]) }

        def width(cells) = cells.length - cells.reverse.take_while { |cell| blank?([cell]) }.length
      end
    end
  end
end
