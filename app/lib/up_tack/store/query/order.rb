# frozen_string_literal: true

module UpTack
  module Store
    class Query
      # By several fields, one after the other, and at last by number. Blanks come last
      # both ways. A link is ordered by the name that is shown for it.
      class Order
        # @param table [Core::Design::Table]
        # @param sorts [Array<Sort>] of fields that are kept
        # @param names [#call] gives the NameIndex of a table by its key
        def initialize(table, sorts, names)
          @table = table
          @sorts = sorts
          @names = names
        end

        # @return [String] tables to read besides, empty mostly
        def joins =
          @sorts.each_with_index.filter_map { |sort, index| ranks(sort.field, index) if sort.field&.link? }.join(" ")

        # @return [String] SQL after ORDER BY
        def sql(by_number: "ASC")
          terms =
            @sorts.each_with_index.flat_map do |sort, index|
              ["#{column(sort, index)} IS NULL", "#{key(sort, index)} #{sort.descending ? "DESC" : "ASC"}"]
            end
          [*terms, "rows.id #{by_number}"].join(", ")
        end

        private

        def column(sort, index)
          return version if sort.version?

          sort.field.link? ? "rank#{index}.value" : Keys.name(sort.field)
        end

        def key(sort, index)
          return version if sort.version?

          sort.field.link? ? "rank#{index}.value ->> 1" : Keys.expression(sort.field)
        end

        def version = Store::ChangeLog.version_sql(@table)

        # The names of the linked table in their order, as numbers: equal ones are of equal rank.
        def ranks(field, index)
          rank = 0
          before = nil
          all = @names.call(field.target).names.map do |name|
            rank += 1 unless name.folded == before
            before = name.folded
            [name.id, rank]
          end
          "LEFT JOIN (SELECT value ->> 0 AS id, value FROM " \
            "json_each(#{Keys.quoted(JSON.generate(all))})) AS rank#{index} ON rank#{index}.id = " \
            "rows.#{Database.connection.quote_column_name(field.key)}"
        end
      end
    end
  end
end
