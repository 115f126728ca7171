# frozen_string_literal: true

module UpTack
  module Store
    # Works out, for the records of a table, what can be prepared of them before they are written (see PreparedRow).
    class RowPreparer
      # One closed field, where a rule gave it its value or somebody typed it.
      # stretch:: which of the stretches of a PreparedRow tells of it
      # known:: by value, what its column takes and what the log says of it
      Part = Struct.new(:key, :known, :place, :stretch, :field, :writer, :logged, :rule)
      # parts:: of all closed fields; logged:: ids of those that the log tells of where none is blank
      Layout = Struct.new(:parts, :logged)

      # @param table [Core::Design::Table]
      # @param partition [Core::Save::PlanPartition]
      def initialize(table, partition)
        @table = table
        @partition = partition
        @differences = ChangeSerializer.new
        @parts = {}
        @shapes = Core::InternCache.new(very: true)
        @logged = Core::InternCache.new
      end

      # @param begun [Core::Save::PartialSave] whose origins are the same object as those of others
      #   whose fields came about alike
      # @return [PreparedRow]
      def prepare(begun)
        cells = []
        stretches = Array.new(@partition.open.length + 1)
        values = begun.values
        blank = false
        shape = @shapes.one(begun.origins) { shape(begun) }
        shape.parts.each do |part|
          value = values[part.key]
          next blank = true if value.nil?

          cell, piece = part.known.one(value) { written(part, value) }
          cells[part.place] = cell
          next unless piece

          stretch = part.stretch
          (before = stretches[stretch]) ? before << "," << piece : stretches[stretch] = +piece
        end
        PreparedRow.new(cells, stretches, blank ? @logged.one(logged_fields(shape, values)) : shape.logged)
      end

      private

      # @return [Layout]
      def shape(begun)
        parts =
          @partition.closed.map do |field, place|
            rule = begun.rule(field.key)
            @parts[[field.key, rule]] ||= Part.new(
              field.key,
              Core::InternCache.new,
              place,
              @partition.open.count { |_, at| at < place },
              field,
              ColumnCodec.writer(field),
              @table.logged?(field),
              rule
            )
          end
        Layout.new(parts, @logged.one(parts.select(&:logged).map { |part| part.field.id }))
      end

      def logged_fields(shape, values)
        shape.parts.filter_map { |part| part.field.id if part.logged && !values[part.key].nil? }
      end

      def written(part, value)
        [
          part.writer ? part.writer.call(value) : value,
          (@differences.piece(part.field, nil, value, part.rule).freeze if part.logged)
        ].freeze
      end
    end
  end
end
