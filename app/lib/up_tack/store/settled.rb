# frozen_string_literal: true

module UpTack
  module Store
    # What is settled of a new record before it is written: of each of its fields, in their
    # order, what its column takes and what the log says. nil where that is still open, or
    # where there is nothing.
    # cells:: as Rows#insert takes them; pieces:: as Differences makes them
    Settled = Struct.new(:cells, :pieces) do
      # @param table [Core::Design::Table]
      # @param parting [Core::Save::Parting]
      # @param begun [Core::Save::Begun]
      # @param differences [Differences]
      # @param records [LinkedRecords]
      # @return [Settled]
      def self.of(table, parting, begun, differences, records)
        cells = []
        pieces = []
        origins = begun.origins
        parting.settled.each do |field, place|
          value = begun.values[field.key]
          next if value.nil?

          writer = Cells.writer(field)
          cells[place] = writer ? writer.call(value) : value
          at = origins.index(field.key)
          pieces[place] = differences.piece(field, nil, value, at && origins[at + 2], records) if table.logged?(field)
        end
        new(cells, pieces)
      end

      # @return [Boolean] whether any field has a value by that
      def any? = cells.any?
    end
  end
end
