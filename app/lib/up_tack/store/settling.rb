# frozen_string_literal: true

module UpTack
  module Store
    # Works out, for the records of a table, what is Settled of them before they are written.
    class Settling
      # @param table [Core::Design::Table]
      # @param parting [Core::Save::Parting]
      def initialize(table, parting)
        @parting = parting
        @writers = parting.settled.map { |field, place| [field, place, Cells.writer(field), table.logged?(field), parting.open.count { |other, at| at < place }] }
        @differences = Differences.new
        @told = Alike.new
      end

      # @param begun [Core::Save::Begun]
      # @return [Settled]
      def of(begun)
        cells = []
        stretches = Array.new(@parting.open.length + 1)
        told = []
        @writers.each do |field, place, writer, logged, stretch|
          value = begun.values[field.key]
          next if value.nil?

          cells[place] = writer ? writer.call(value) : value
          next unless logged

          told << field.id
          piece = @differences.piece(field, nil, value, begun.rule(field.key))
          (before = stretches[stretch]) ? before << "," << piece : stretches[stretch] = piece
        end
        Settled.new(cells, stretches, @told.one(told))
      end
    end
  end
end
