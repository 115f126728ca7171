# frozen_string_literal: true

module UpTack
  module Store
    # Numbers that more than one record has in a field, as may be where nobody numbered it for a while.
    module Doubles
      # Told at most.
      MOST = 1_000

      module_function

      # @param table [Core::Design::Table]
      # @param field [Core::Design::Field]
      # @return [Hash{String=>Integer}] how many records have each, by the number as text
      def find(table, field)
        return {} unless table.kept?(field.key)

        column = Database.connection.quote_column_name(field.key)
        name = Database.connection.quote_table_name(table.key)
        rows =
          Statements.run(
            "SELECT #{column}, COUNT(*) FROM #{name} WHERE #{column} IS NOT NULL GROUP BY #{column} " \
              "HAVING COUNT(*) > 1 LIMIT #{MOST}"
          )
        reader = ColumnCodec.reader(field)
        rows.to_h { |raw, count| [Core::Values.show(reader.call(raw)), count] }
      end
    end
  end
end
