# frozen_string_literal: true

module UpTack
  module Store
    # Reads and writes a column past the rules, when a change of the design has its values stored otherwise. Nobody
    # saves for as long as it takes.
    module WholeColumn
      module_function

      # @param table [Core::Design::Table]
      # @param key [String] of the column
      # @param ids [Array<Integer>, nil] of these records alone
      # @return [Array<Array(Integer, Object)>] records with what their cells have, those without a value left out
      def read(table, key, ids = nil)
        column = Database.quoted(key)
        which = " AND id IN (SELECT value FROM json_each('#{JSON.generate(ids)}'))" if ids
        Database.connection.select_rows(
          "SELECT id, #{column} FROM #{Database.quoted(table.key)} WHERE #{column} IS NOT NULL#{which}"
        )
      end

      # @param cell [Object] as ColumnCodec writes it
      # @return [void]
      def write(table, key, id, cell) = Statements.run(
        "UPDATE #{Database.quoted(table.key)} SET #{Database.quoted(key)} = ? WHERE id = ?", cell, id
      )
    end
  end
end
