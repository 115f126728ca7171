# frozen_string_literal: true

module UpTack
  module Store
    # Which blanks of a field were filled from the log when a stamp or tally was pinned on it, and
    # with what, so that taking the rule back gives the blanks back. A table for each such field,
    # named up_tack_filled_<id>.
    module FilledFromLog
      module_function

      # @param field [Core::Design::Field]
      # @param values [Hash{Integer=>Object}] by record
      def note(field, values)
        return if values.empty?

        name = prepared(field)
        values.each do |id, value|
          Statements.run(
            "INSERT OR REPLACE INTO #{quoted(name)} (id, value) VALUES (?, ?)",
            id,
            ColumnCodec.write(value, field)
          )
        end
      end

      # @param field [Core::Design::Field]
      # @param sql [String] gives records and what their columns were filled with
      # @return [void]
      def note_all(field, sql) =
        connection.execute("INSERT OR REPLACE INTO main.#{quoted(prepared(field))} (id, value) #{sql}")

      # @return [String] name of its table, which is there
      def prepared(field)
        name(field).tap do |name|
          next if connection.table_exists?(name)

          connection.create_table(name) { |t| t.column("value", field.values.column) }
        end
      end

      # Makes those blank again that still have what they were filled with.
      # @param table [Core::Design::Table]
      # @param field [Core::Design::Field]
      # @param replaced [Replaced] takes note
      def take_back(table, field, replaced)
        name = name(field)
        return unless connection.table_exists?(name)

        column, rows = quoted(field.key), quoted(table.key)
        connection.execute("UPDATE #{rows} SET #{column} = NULL WHERE id IN (SELECT filled.id FROM #{quoted(name)} " \
          "AS filled WHERE filled.id = #{rows}.id AND filled.value = #{rows}.#{column})")
        connection.drop_table(name)
        replaced.note(table, field)
      end

      def name(field) = "up_tack_filled_#{field.id}"
      def quoted(name) = connection.quote_table_name(name)
      def connection = Database.connection
    end
  end
end
