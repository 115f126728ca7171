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
      end

      # @param id [Integer]
      # @param before [Hash{String=>Object}] values, empty for a record that was made
      # @param after [Hash{String=>Object}] values, empty for one that was deleted
      # @return [Hash{Array(String, String)=>Integer}] values elsewhere that became other ones
      def run(id, before:, after:)
        dirty = Dirty.new
        @table.kept_fields.each do |field|
          next if before[field.key] == after[field.key]

          mark(dirty, field, id, before)
        end
        dirty.places.empty? ? {} : Recalculation.new(@workspace).run(dirty)
      end

      private

      # What the record reads of itself was worked out when it was saved.
      def mark(dirty, field, id, before)
        @workspace.project.upkeep.readers(@table.key, field.key).each do |reader|
          next if reader.steps.empty?

          dirty.add(reader.calculation.place, WayBack.new(reader.steps).from([id], before: before))
        end
      end
    end
  end
end
