# frozen_string_literal: true

module UpTack
  module Store
    # Where the values of deleted fields and tables lie until they are asked for
    # again: tables named up_tack_aside_<id>_<number>, of which the highest
    # number is the latest.
    module Archive
      module_function

      # @param table [Core::Design::Table] that goes, with all its records
      def put_table(table)
        connection.rename_table(table.key, next_name(table.id))
      end

      # @param replaced [Replaced] takes note of what it brings back
      # @return [Boolean] whether there was something to bring back
      def take_table(table, replaced)
        name = names(table.id).last or return false
        connection.rename_table(name, table.key)
        replaced.note_table(table)
        true
      end

      # @param field [Core::Design::Field] whose values are copied
      # @param only [Array<Object>, nil] as cells have them: those values alone
      def put_column(table, field, only: nil)
        name = next_name(field.id)
        connection.create_table(name) { |t| t.column("value", field.values.column) }
        wanted = only ? "IN (#{only.map { |value| connection.quote(value) }.join(", ")})" : "IS NOT NULL"
        connection.execute(
          "INSERT INTO #{quoted(name)} (id, value) SELECT id, #{quoted(field.key)} FROM #{quoted(table.key)} " \
            "WHERE #{quoted(field.key)} #{wanted}"
        )
      end

      # Puts the latest values set aside back into the column, and forgets them.
      # @param replaced [Replaced] takes note
      # @return [Boolean] whether there were any
      def take_column(table, field, replaced)
        name = names(field.id).last or return false
        replaced.note(table, field)
        connection.execute(
          "UPDATE #{quoted(table.key)} SET #{quoted(field.key)} = (SELECT value " \
            "FROM #{quoted(name)} AS aside WHERE aside.id = #{quoted(table.key)}.id)"
        )
        connection.drop_table(name)
        true
      end

      # @param ids [Array<Integer>, nil] of these records alone
      # @yield [id, raw] for each value set aside last; all of it is forgotten afterwards
      # @return [Boolean] whether there were any
      def take_values(field, ids = nil)
        name = names(field.id).last or return false
        which = " WHERE id IN (SELECT value FROM json_each('#{JSON.generate(ids)}'))" if ids
        connection.select_rows("SELECT id, value FROM #{quoted(name)}#{which}").each { |id, value| yield id, value }
        connection.drop_table(name)
        true
      end

      # @return [Array<String>] all of them
      def all = connection.tables.select { |name| name.match?(/\Aup_tack_aside_\w+_\d+\z/) }

      # @return [void]
      def drop(name) = connection.drop_table(name)

      def names(id)
        prefix = "up_tack_aside_#{id}_"
        connection.tables.select { |name| name.start_with?(prefix) }.sort_by { |name| name.delete_prefix(prefix).to_i }
      end

      def next_name(id)
        last = names(id).last
        "up_tack_aside_#{id}_#{last ? last[/\d+\z/].to_i + 1 : 1}"
      end

      def connection = Database.connection
      def quoted(name) = connection.quote_table_name(name)
    end
  end
end
