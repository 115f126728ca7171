# frozen_string_literal: true

module UpTack
  module Store
    # Makes the real tables follow the design, inside the caller's transaction.
    #
    # Nothing is thrown away: the values of a field that goes, or that changes
    # its type, are set aside and come back with an undo. Columns are dropped and
    # renamed by the statements that SQL has for it rather than through Active
    # Record, which copies the whole table on SQLite and in doing so forgets
    # which record numbers were given, so that one would be given again.
    class Physical
      # @param from [Core::Design::Project, nil]
      # @param to [Core::Design::Project]
      # @param back [Boolean] whether this undoes a change
      def initialize(from, to, back: false)
        @from = from
        @to = to
        @back = back
        @connection = Database.connection
      end

      def follow
        old_tables = @from ? @from.tables.to_h { |table| [table.id, table] } : {}
        new_tables = @to.tables.to_h { |table| [table.id, table] }
        (old_tables.keys - new_tables.keys).each { |id| Aside.put_table(old_tables[id]) }
        rename_tables(old_tables, new_tables)
        (new_tables.keys - old_tables.keys).each { |id| bring_table(new_tables[id]) }
        (new_tables.keys & old_tables.keys).each { |id| alter(old_tables[id], new_tables[id]) }
      end

      private

      # Two steps, so that two tables can change names.
      def rename_tables(old_tables, new_tables)
        renamed = (old_tables.keys & new_tables.keys).map { |id| [old_tables[id].key, new_tables[id].key, id] }.reject { |old, new, _| old == new }
        renamed.each { |old, _, id| @connection.rename_table(old, "up_tack_moving_#{id}") }
        renamed.each { |_, new, id| @connection.rename_table("up_tack_moving_#{id}", new) }
      end

      def bring_table(table)
        return if Aside.take_table(table)

        @connection.create_table(table.key) do |t|
          table.fields.each { |field| t.column(field.key, field.values.column) }
        end
      end

      def alter(old, new)
        before = old.fields.to_h { |field| [field.id, field] }
        after = new.fields.to_h { |field| [field.id, field] }
        (before.keys - after.keys).each { |id| remove_column(new, before[id]) }
        rename_columns(new, before, after)
        (before.keys & after.keys).each do |id|
          Retyping.new(new, before[id], after[id], @to.conventions).run(back: @back) if before[id].type != after[id].type
        end
        (after.keys - before.keys).each { |id| add_column(new, after[id]) }
      end

      def remove_column(table, field)
        Aside.put_column(table, field)
        sql("ALTER TABLE #{quoted(table.key)} DROP COLUMN #{quoted(field.key)}")
      end

      def rename_columns(table, before, after)
        renamed = (before.keys & after.keys).map { |id| [before[id].key, after[id].key, id] }.reject { |old, new, _| old == new }
        renamed.each { |old, _, id| rename_column(table, old, "up_tack_moving_#{id}") }
        renamed.each { |_, new, id| rename_column(table, "up_tack_moving_#{id}", new) }
      end

      def rename_column(table, old, new)
        sql("ALTER TABLE #{quoted(table.key)} RENAME COLUMN #{quoted(old)} TO #{quoted(new)}")
      end

      def add_column(table, field)
        @connection.add_column(table.key, field.key, field.values.column)
        Aside.take_column(table, field)
      end

      def sql(statement) = @connection.execute(statement)
      def quoted(name) = @connection.quote_table_name(name)
    end
  end
end
