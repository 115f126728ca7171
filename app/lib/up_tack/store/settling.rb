# frozen_string_literal: true

module UpTack
  module Store
    # Works out, for the records of a table, what is Settled of them before they are written.
    class Settling
      # One settled field, where a rule gave it its value or somebody typed it.
      # stretch:: which of the stretches of a Settled tells of it
      # known:: by value, what its column takes and what the log says of it
      Part = Struct.new(:field, :key, :place, :writer, :logged, :stretch, :rule, :known)

      # @param table [Core::Design::Table]
      # @param parting [Core::Save::Parting]
      def initialize(table, parting)
        @table = table
        @parting = parting
        @differences = Differences.new
        @parts = {}
        @shapes = Core::Alike.new(very: true)
        @told = Core::Alike.new
      end

      # @param begun [Core::Save::Begun] whose origins are the same object as those of others
      #   whose fields came about alike
      # @return [Settled]
      def of(begun)
        cells = []
        stretches = Array.new(@parting.open.length + 1)
        told = []
        values = begun.values
        @shapes.one(begun.origins) { shape(begun) }.each do |part|
          value = values[part.key]
          next if value.nil?

          cells[part.place], piece = part.known.one(value) { written(part, value) }
          next unless piece

          told << part.field.id
          stretch = part.stretch
          (before = stretches[stretch]) ? before << "," << piece : stretches[stretch] = +piece
        end
        Settled.new(cells, stretches, @told.one(told))
      end

      private

      # @return [Array<Part>]
      def shape(begun)
        @parting.settled.map do |field, place|
          rule = begun.rule(field.key)
          @parts[[field.key, rule]] ||= Part.new(field, field.key, place, Cells.writer(field), @table.logged?(field), @parting.open.count { |_, at| at < place }, rule, Core::Alike.new)
        end
      end

      def written(part, value)
        [part.writer ? part.writer.call(value) : value, (@differences.piece(part.field, nil, value, part.rule).freeze if part.logged)].freeze
      end
    end
  end
end
