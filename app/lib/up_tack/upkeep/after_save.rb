# frozen_string_literal: true

module UpTack
  module Upkeep
    # What must follow when one record became another, was made or was deleted.
    class AfterSave
      # @param workspace [Workspace]
      # @param table [Core::Design::Table]
      def initialize(workspace, table)
        @workspace = workspace
        @table = table
        @fields = table.kept_fields.filter_map do |field|
          readers = workspace.project.upkeep.readers(table.key, field.key).reject { |reader| reader.steps.empty? }
          [field, readers] if readers.any?
        end
      end

      # @param id [Integer]
      # @param before [Hash{String=>Object}] values, empty for a record that was made
      # @param after [Hash{String=>Object}] values, empty for one that was deleted
      # @return [Hash{Array(String, String)=>Integer}] values elsewhere that became other ones
      def run(id, before:, after:)
        return {} if @fields.empty?

        dirty = Dirty.new
        @fields.each { |field, readers| mark(dirty, readers, id, before) if before[field.key] != after[field.key] }
        return {} if dirty.places.empty?

        recalculation = Recalculation.new(@workspace)
        recalculation.run(dirty).tap { @moved = recalculation.moved }
      end

      # Lets rules act that wait for what became another value elsewhere; called once
      # the save itself is in the log.
      def echo
        moved = @moved
        @moved = nil
        Echo.new(@workspace).run(moved) if moved&.any?
      end

      private

      # What the record reads of itself was worked out when it was saved.
      def mark(dirty, readers, id, before)
        readers.each { |reader| dirty.add(reader.calculation.place, WayBack.new(reader.steps).from([id], before: before)) }
      end
    end
  end
end
