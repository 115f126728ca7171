# frozen_string_literal: true

module UpTack
  module Store
    # The fields whose columns were given other values by something else than saves: values that
    # came back from being set aside, that were read anew as another type, that the log told. Who
    # writes to a whole column takes note of it here, so that nothing worked out from it goes stale.
    class Replaced
      def initialize
        @fields = {}
      end

      # @param table [Core::Design::Table]
      # @param field [Core::Design::Field]
      # @param ids [Array<Integer>, :all] the records
      def note(table, field, ids = :all)
        known = (@fields[[table.id, field.id]] ||= Set.new)
        return if known == :all

        @fields[[table.id, field.id]] = (ids == :all) ? :all : known.merge(ids)
      end

      # Takes note of all that a table holds.
      def note_table(table) = table.fields.each { |field| note(table, field) }

      # @param project [Core::Design::Project] as it is afterwards
      # @yield [table, field, ids] for each that is there still
      def each(project)
        @fields.each do |(table_id, field_id), ids|
          table = project.tables.find { |each| each.id == table_id } or next
          field = table.fields.find { |each| each.id == field_id } or next
          yield table, field, ((ids == :all) ? :all : ids.to_a)
        end
      end
    end
  end
end
