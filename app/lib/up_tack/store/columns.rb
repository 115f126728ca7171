# frozen_string_literal: true

module UpTack
  module Store
    # Adds, drops and renames single columns, with what belongs to them: a link
    # has an index and a foreign key, which is looked at when a transaction ends.
    #
    # Done by the statements that SQL has for it rather than through Active
    # Record, which copies the whole table on SQLite and in doing so forgets
    # which record numbers were given, so that one would be given again.
    module Columns
      module_function

      # @param table [Core::Design::Table]
      # @param field [Core::Design::Field]
      def add(table, field)
        return connection.add_column(table.key, field.key, field.values.column) unless field.link?

        sql("ALTER TABLE #{quoted(table.key)} ADD COLUMN #{quoted(field.key)} integer " \
          "REFERENCES #{quoted(field.target)} (id) DEFERRABLE INITIALLY DEFERRED")
        sql("CREATE INDEX #{quoted(index(field))} ON #{quoted(table.key)} (#{quoted(field.key)})")
      end

      def drop(table, field)
        sql("DROP INDEX IF EXISTS #{quoted(index(field))}")
        sql("ALTER TABLE #{quoted(table.key)} DROP COLUMN #{quoted(field.key)}")
      end

      def rename(table, old, new)
        sql("ALTER TABLE #{quoted(table.key)} RENAME COLUMN #{quoted(old)} TO #{quoted(new)}")
      end

      # Links that came back from being set aside may point to records that were
      # deleted meanwhile.
      # @param replaced [Replaced] takes note
      def clear_dangling(table, field, replaced)
        replaced.note(table, field)
        sql("UPDATE #{quoted(table.key)} SET #{quoted(field.key)} = NULL WHERE #{quoted(field.key)} " \
          "NOT IN (SELECT id FROM #{quoted(field.target)})")
      end

      def index(field) = "up_tack_link_#{field.id}"
      def sql(statement) = connection.execute(statement)
      def quoted(name) = connection.quote_table_name(name)
      def connection = Database.connection
    end
  end
end
