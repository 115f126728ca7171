# frozen_string_literal: true

module UpTack
  module Services
    # Brings an order of records that was found before up to date by the change log: records that were saved since
    # are looked at again and put where they belong now. So a list of many thousands need not be sorted again whenever
    # somebody saves one record, or changes what it is not ordered by in many.
    class KeptOrder
      # Saves since the last look beyond which everything is asked for again: those that may move a record, and all.
      MOST_SAVES = 200
      MOST_LOOKED = 20_000

      # @param table [Core::Design::Table]
      # @param query [Store::Query] which the database alone answers
      # @param keys [SortKeys]
      # @param other_tables [Array<String>, nil] ids of the tables whose records decide on the order too; nil where
      #   that can't be told
      # @param decisive [Array<String>, nil] ids of the table's fields on which the order depends, none of which
      #   follows what others save; nil where it may depend on any
      def initialize(table, query, keys, other_tables, decisive)
        @table = table
        @query = query
        @keys = keys
        @other_tables = other_tables
        @decisive = decisive
      end

      # @param ids [Array<Integer>] as they were
      # @param seen [Integer] number of the latest entry of the log then
      # @param latest [Integer] the same now
      # @return [Array<Integer>, nil] as they are now; nil where they have to be asked for
      def catch_up(ids, seen, latest)
        changed = changed_since(seen, latest) or return
        return ids if changed.empty?

        following = without(ids, changed)
        insert(following, @query.among(changed))
        # Whatever was saved while it was looked for may stand anywhere.
        following if Store::ChangeLog.latest == latest
      end

      # @param seen [Integer] number of the latest entry of the log then
      # @param latest [Integer] the same now
      # @param most [Integer] saves
      # @return [Array<Integer>, nil] records of the table that may have another place since; nil where that can't be
      #   told, or there are too many
      def changed_since(seen, latest, most: MOST_SAVES)
        return if @other_tables.nil? || latest < seen || latest - seen > MOST_LOOKED

        telling = telling_since(seen, latest, most) or return
        saves = Store::Statements.run(
          "SELECT table_id, record_id, followed FROM main.up_tack_entries NOT INDEXED " \
            "WHERE id > ? AND id <= ? AND (#{moving}) " \
            "UNION ALL SELECT table_id, record_id, NULL FROM main.up_tack_entries " \
            "WHERE id IN (SELECT value FROM json_each(?)) LIMIT ?",
          seen, latest, JSON.generate(telling), most + 1
        )
        return if saves.length > most
        return if saves.any? { |table, _, followed| (followed && !@decisive) || elsewhere.include?(table) }

        saves.filter_map { |table, id, _| id if table == @table.id }.uniq
      end

      private

      # @return [Array<String>] ids of tables of which any save may change the order
      def elsewhere = ["", *@other_tables]

      # @return [String] SQL that says which entries may change the order, besides those that tell of its fields
      def moving
        own, *others = [@table.id, *elsewhere].map { |id| Store::Database.connection.quote(id) }
        any = "table_id IN (#{others.join(", ")})"
        return "table_id = #{own} OR followed IS NOT NULL OR #{any}" unless @decisive

        "(table_id = #{own} AND action <> 'update') OR #{any}"
      end

      # @return [Array<Integer>, nil] entries that tell of the fields on which the order depends; nil for too many
      def telling_since(seen, latest, most)
        found = (@decisive || []).flat_map { |field| Store::FieldChangeIndex.since(field, seen, latest) }
        return if found.sum { |first, last| last - first + 1 } > most

        found.flat_map { |first, last| [*first..last] }.uniq
      end

      def without(ids, changed)
        return ids - changed if changed.length > 20

        changed.each_with_object(ids.dup) { |id, rest| (place = rest.index(id)) && rest.delete_at(place) }
      end

      def insert(ids, found) = found.each { |id| ids.insert(@keys.place(ids, @keys.stored(id), id), id) }
    end
  end
end
