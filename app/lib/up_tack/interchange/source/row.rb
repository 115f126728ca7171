# frozen_string_literal: true

module UpTack
  module Interchange
    module Source
      # What was read of one row.
      class Row
        # Control characters of ASCII: what stands between cells that are packed, and what
        # stands for a blank one.
        BETWEEN = "\x1F"
        NOTHING = "\x00"

        # @return [Integer] as a spreadsheet counts it, the head being 1
        attr_reader :number
        # @return [String, nil] why it is no sound row, nil mostly
        attr_reader :problem

        # @param cells [Array<Object>, String] texts, BigDecimals, Dates, Times, true, false or nil,
        #   one for each column; or the same as `pack` gives it
        def initialize(number:, cells:, problem: nil)
          @number = number
          @cells = cells
          @problem = problem
        end

        # @return [Array<Object>]
        def cells
          @cells = @cells.split(BETWEEN, -1).map { |cell| (cell == NOTHING) ? nil : cell } if @cells.is_a?(String)
          @cells
        end

        # @return [Integer] bytes of its texts, about
        def size
          return @cells.bytesize if @cells.is_a?(String)

          sum = 0
          @cells.each { |cell| sum += cell.bytesize if cell.is_a?(String) }
          sum
        end

        # @return [Array(Integer, Object, String)] number, cells and problem to be handed over:
        #   many cells take longer than one text, and are hardly ever asked for
        def pack = [number, joined, problem]

        private

        def joined
          return cells if cells.length < 2 || cells.any? { |cell| !cell.nil? && (!cell.is_a?(String) || cell == NOTHING) }

          text = cells.map { |cell| cell || NOTHING }.join(BETWEEN)
          (text.count(BETWEEN) == cells.length - 1) ? text : cells
        end
      end
    end
  end
end
