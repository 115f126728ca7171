# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Rows that are held at a time: so many, and fewer where they are long.
      class RowBatch
        # Bytes of their cells.
        MOST = 4 << 20

        # @param rows [Integer] at most
        def initialize(rows)
          @rows = rows
          clear
        end

        # @param item [Object]
        # @param size [Integer] bytes of the row that it stands for
        # @return [Boolean] whether no more should be added
        def add(item, size)
          @items << item
          @size += size
          @items.length >= @rows || @size >= MOST
        end

        # @return [Array<Object>] what was added, which is let go of
        def take
          taken = @items
          clear
          taken
        end

        def any? = @items.any?

        private

        def clear
          @items = []
          @size = 0
        end
      end
    end
  end
end
