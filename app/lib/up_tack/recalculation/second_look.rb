# frozen_string_literal: true

module UpTack
  module Recalculation
    # What must be calculated again because of records that were saved since values were calculated ahead. It marks
    # rather too much than too little: what comes to the same value is not written.
    class SecondLook
      # @param workspace [Workspace]
      # @param places [Array<Array(String, String)>] table and field of what was calculated ahead
      def initialize(workspace, places)
        @upkeep = workspace.project.upkeep
        @tables = workspace.project.tables.to_h { |table| [table.id, table] }
        @places = places
      end

      # @param dirty [Dirty]
      # @param saves [Array<Store::Entry>]
      # @return [void]
      def mark(dirty, saves)
        saves.each { |entry| mark_saved(dirty, entry) }
        # A value that was calculated by the save itself is as it should be; what uses it may not be.
        @upkeep.order.each do |calculation|
          ids = dirty.known(calculation.place) or next
          mark_readers(dirty, *calculation.place, ids, nil)
        end
      end

      private

      def mark_saved(dirty, entry)
        table = @tables[entry.table_id] or return
        @places.each { |place| dirty.add(place, [entry.record_id]) if place.first == table.key }
        before = linked_before(table, entry)
        table.kept_fields.each { |field| mark_readers(dirty, table.key, field.key, [entry.record_id], before) }
      end

      # @return [Hash{String=>Integer}] to what it was linked before, by field
      def linked_before(table, entry)
        links = table.fields.select(&:link?).to_h { |field| [field.id, field.key] }
        entry
          .field_changes
          .select { |change| links.key?(change.field_id) && change.type == "link" }
          .to_h { |change| [links[change.field_id], change.values.first] }
      end

      def mark_readers(dirty, table, field, ids, before)
        @upkeep.readers(table, field).each do |reader|
          dirty.add(reader.calculation.place, DependentLookup.new(reader.steps).from(ids, before: before))
        end
      end
    end
  end
end
