# frozen_string_literal: true

module UpTack
  module Recalculation
    # What a design change makes stale, calculated ahead of it in a copy of the database, so that nobody waits for the
    # lock in the meantime. It is carried over within the change's own transaction, and what others have saved since the
    # copy was made is looked at again.
    # path:: of the copy; seen:: number of the log's latest entry in it; revision:: of the design before the change
    # places:: Array of table and field, of which all records were calculated
    Ahead = Struct.new(:path, :seen, :revision, :places, keyword_init: true) do
      # @return [void] with the copy at hand, for the block
      def attached
        raw = Store::Database.connection.raw_connection
        raw.execute("ATTACH DATABASE ? AS #{Ahead::NAME}", [path])
        yield
      ensure
        raw&.execute("DETACH DATABASE #{Ahead::NAME}")
        FileUtils.rm_f(path)
      end

      # Takes what was calculated in the place of calculating it.
      # @param dirty [Dirty] of the change; without what was carried over afterwards, with what others made stale
      # @param workspace [Workspace] with the design after the change
      # @return [void]
      def carry_over(dirty, workspace)
        saves = saves_since or return
        done = places & dirty.all
        done.each do |place|
          dirty.drop(place)
          copy(*place)
        end
        SecondLook.new(workspace, done).mark(dirty, saves)
      end

      # @param table [Core::Design::Table]
      # @return [Array<Integer>, nil] its records that were saved since; nil where there are too many
      def saved_in(table) =
        saves_since&.filter_map { |entry| entry.record_id if entry.table_id == table.id }&.uniq

      # Gives a column that was rewritten in the copy what it has there, but for records that were saved since.
      # @param table [Core::Design::Table] after the change
      # @param field [Core::Design::Field] after the change
      # @param except [Array<Integer>] those records
      # @return [void]
      def take_column(table, field, except) = copy(table.key, field.key, besides(except))

      # Takes note of the numbers that were noted in the copy, but for those of records that were saved since.
      # @param field [Core::Design::Field]
      # @param except [Array<Integer>] those records
      # @return [void]
      def take_numbers(field, except) = Store::Counters.take_over(Ahead::NAME, field.id, except)

      # Fills blanks of a field as they are filled in the copy, as Store::FilledFromLog knows them from then on.
      # @param table [Core::Design::Table]
      # @param field [Core::Design::Field]
      # @param except [Array<Integer>] records that were saved since
      # @return [Array<Integer>] those that were filled
      def fill(table, field, except)
        rows, column = [table.key, field.key].map { |name| Store::Database.quoted(name) }
        other = Ahead::OTHER
        blank = "#{rows}.#{column} IS NULL AND #{besides(except)}"
        which = "FROM #{Ahead::NAME}.#{rows} AS #{other} JOIN main.#{rows} ON #{rows}.id = #{other}.id " \
          "WHERE #{other}.#{column} IS NOT NULL AND #{blank}"
        ids = Store::Database.connection.select_values("SELECT #{other}.id #{which}")
        Store::FilledFromLog.note_all(field, "SELECT #{other}.id, #{other}.#{column} #{which}")
        copy(table.key, field.key, blank)
        ids
      end

      private

      # Some at a time: no other thread of this process goes on while SQLite is at it.
      # @param which [String] SQL that says which records
      def copy(table, field, which = "TRUE")
        table, field = [table, field].map { |name| Store::Database.quoted(name) }
        other, connection = Ahead::OTHER, Store::Database.connection
        last = connection.select_value("SELECT MAX(id) FROM #{Ahead::NAME}.#{table}").to_i
        (1..last).step(Ahead::COPIED) do |from|
          connection.execute(
            "UPDATE main.#{table} SET #{field} = #{other}.#{field} FROM #{Ahead::NAME}.#{table} AS #{other} " \
              "WHERE #{other}.id BETWEEN #{from} AND #{from + Ahead::COPIED - 1} AND #{other}.id = #{table}.id " \
              "AND #{table}.#{field} IS NOT #{other}.#{field} AND #{which}"
          )
          Thread.pass
        end
      end

      def besides(ids) = "#{Ahead::OTHER}.id NOT IN (SELECT value FROM json_each('#{JSON.generate(ids)}'))"

      # @return [Array<Store::Entry>, nil] nil where there are so many that all may be calculated as well
      def saves_since
        found = Store::Entry.where("id > ?", seen).limit(Ahead::MOST_SAVES + 1).to_a
        found unless found.length > Ahead::MOST_SAVES
      end
    end
    # Under which the copy is at hand.
    Ahead::NAME = "up_tack_ahead"
    # A table of it within SQL, where no table of a builder has that name.
    Ahead::OTHER = "up_tack_other"
    # Records of a table from which on it is worth a copy, and saves that are looked at again.
    Ahead::MANY = 5_000
    # Records that are carried over at a time.
    Ahead::COPIED = 4_000
    Ahead::MOST_SAVES = 20_000
  end
end
