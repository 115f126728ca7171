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
        # @param texts [Boolean] whether they are all texts or nil
        def initialize(number, cells, problem = nil, texts = false)
          @number = number
          @cells = cells
          @problem = problem
          @texts = texts
        end

        # @return [Array<Object>]
        def cells
          @cells = @cells.split(BETWEEN, -1).map { |cell| (cell == NOTHING) ? nil : cell } if @cells.is_a?(String)
          @cells
        end

        # @return [Integer] bytes of its texts, about
        def size
          return joined.bytesize if joined.is_a?(String)

          @cells.sum { |cell| cell.is_a?(String) ? cell.bytesize : 0 }
        end

        # @return [Array(Integer, Object, String)] number, cells and problem to be handed over:
        #   many cells take longer than one text, and are hardly ever asked for
        def pack = [number, joined, problem]

        private

        def joined = @joined ||= @cells.is_a?(String) ? @cells : join

        def join
          return cells if cells.length < 2 || !(@texts || cells.all? { |cell| cell.nil? || cell.is_a?(String) })

          text = (cells.include?(nil) ? cells.map { |cell| cell || NOTHING } : cells).join(BETWEEN)
          (text.count(BETWEEN) == cells.length - 1 && text.count(NOTHING) == cells.count(nil)) ? text : cells
        end
      end
    end
  end
end
