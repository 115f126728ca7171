# frozen_string_literal: true

module UpTack
  module Services
    # Brings an order of records that was found before up to date by the change log: records that were saved since
    # are looked at again and put where they belong now. So a list of many thousands need not be sorted again whenever
    # somebody saves one record.
    class KeptOrder
      # Saves since the last look beyond which everything is asked for again.
      MOST_SAVES = 200

      # @param table [Core::Design::Table]
      # @param query [Store::Query] which the database alone answers
      # @param keys [SortKeys]
      # @param other_tables [Array<String>, nil] ids of the tables whose records decide on the order too; nil where
      #   that can't be told
      def initialize(table, query, keys, other_tables)
        @table = table
        @query = query
        @keys = keys
        @other_tables = other_tables
      end

      # @param ids [Array<Integer>] as they were
      # @param seen [Integer] number of the latest entry of the log then
      # @param latest [Integer] the same now
      # @return [Array<Integer>, nil] as they are now; nil where they have to be asked for
      def catch_up(ids, seen, latest)
        return if @other_tables.nil? || latest < seen

        changed = changed_since(seen, latest) or return
        return ids if changed.empty?

        following = without(ids, changed)
        insert(following, @query.among(changed))
        # Whatever was saved while it was looked for may stand anywhere.
        following if Store::ChangeLog.latest == latest
      end

      private

      # @return [Array<Integer>, nil] records of the table
      def changed_since(seen, latest)
        saves = Store::Statements.run(
          "SELECT table_id, record_id, followed FROM main.up_tack_entries " \
            "WHERE id > ? AND id <= ? LIMIT #{MOST_SAVES + 1}",
          seen, latest
        )
        return if saves.length > MOST_SAVES
        return if saves.any? { |table, _, followed| followed || table.empty? || @other_tables.include?(table) }

        saves.filter_map { |table, id, _| id if table == @table.id }.uniq
      end

      def without(ids, changed)
        return ids - changed if changed.length > 20

        changed.each_with_object(ids.dup) { |id, rest| (place = rest.index(id)) && rest.delete_at(place) }
      end

      def insert(ids, found) = found.each { |id| ids.insert(@keys.place(ids, @keys.stored(id), id), id) }
    end
  end
end
