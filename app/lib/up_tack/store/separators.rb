# frozen_string_literal: true

module UpTack
  module Store
    # Leaves the separators of a mask out of what is stored from a change of the design on, or puts them in.
    class Separators
      # @param before [Core::Design::Field] before the change
      # @param after [Core::Design::Field] after it
      # @return [Boolean] whether values are stored otherwise by then
      def self.needed?(before, after) = before.type == after.type && before.bare&.words != after.bare&.words

      # @param table [Core::Design::Table] after the change
      def initialize(table, before, after)
        @table = table
        @before = before
        @after = after
      end

      # @param ahead [Recalculation::Ahead, nil] where the same was done before
      # @return [void]
      def follow(ahead)
        left = ahead&.saved_in(@table)
        reader = ColumnCodec.reader(@before)
        WholeColumn.read(@table, @after.key, left).each do |id, raw|
          cell = ColumnCodec.write(reader.call(raw), @after)
          WholeColumn.write(@table, @after.key, id, cell) unless cell == raw
        end
        ahead.take_column(@table, @after, left) if left
      end
    end
  end
end
