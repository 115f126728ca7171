# frozen_string_literal: true

module UpTack
  module Store
    # A question about the records of one table: which of them, in which order. As much
    # of it as can be said in SQL is answered by the database; `rest` is what is left
    # for formulas to tell, record by record.
    class Query
      # By what a record's version is called, where a table has no field of this name.
      VERSION = "version"

      # One field to sort by, or the record's version.
      # field:: nil for the version; descending:: whether the greatest comes first
      Sort =
        Struct.new(:field, :descending, keyword_init: true) do
          def version? = field.nil?
          def key = version? ? VERSION : field.key
          # @return [Boolean] whether the database alone can sort by it
          def kept?(table) = version? || table.kept?(field.key)
        end

      # @return [Core::Expression::Formula, nil] the filter, where SQL does not say all of it
      attr_reader :rest

      # @param table [Core::Design::Table]
      # @param context [Core::Context]
      # @param filter [Core::Expression::Formula, nil]
      # @param sorts [Array<Sort>]
      # @param searches [Array<String>] further conditions in SQL over `rows`
      # @param names [#call] gives the NameIndex of a table by its key
      # @param descending [Boolean] whether the last number comes first, where nothing else sorts
      def initialize(table, context, filter: nil, sorts: [], searches: [], names: nil, descending: false)
        @table = table
        @said, whole = filter ? Condition.new(table, context).split(filter.tree) : [[], true]
        @said += searches
        @rest = whole ? nil : filter
        @sorts = sorts
        @order = Order.new(table, sorts, names)
        @descending = descending
      end

      # @return [Boolean] whether the database alone gives the answer
      def whole? = rest.nil? && @sorts.all? { |sort| sort.kept?(@table) }

      # @return [Array<Integer>] numbers of a page of the records, in order
      # @param at [Integer] how many to leave out
      def page(limit, at: 0) = column("#{sql} LIMIT #{Integer(limit)} OFFSET #{Integer(at)}")

      # @return [Array<Integer>] the first of them, in order; of many thousands without holding up other threads
      def beginning(limit)
        first = "#{sql} LIMIT #{Integer(limit)}"
        (QueryProcess.numbers(first) if QueryProcess.worth?(@table.key)) || column(first)
      end

      # @return [Array<Integer>] the numbers that follow one, where nothing but the number sorts
      def page_after(id, limit)
        beyond = "rows.id #{@descending ? "<" : ">"} #{Integer(id)}"
        column("#{select([beyond, *@said])} ORDER BY #{@order.sql(by_number: direction)} LIMIT #{Integer(limit)}")
      end

      # @return [Boolean] whether nothing but the number sorts
      def by_number? = @sorts.empty?

      # @return [Array<Integer>] numbers of all of them, in order
      def ids = (QueryProcess.numbers(sql) if QueryProcess.worth?(@table.key)) || column(sql)

      # @return [String] that gives those in order, as a column `id`
      def sql = "#{select(@said, @order.joins)} ORDER BY #{@order.sql(by_number: direction)}"

      # @param ids [Array<Integer>] may be many thousands
      # @param limit [Integer]
      # @return [Array<Integer>] the first of those of them that it lets through, in order
      def page_among(ids, limit)
        which = "rows.id IN (SELECT value FROM json_each('#{JSON.generate(ids)}'))"
        column("#{select([which, *@said], @order.joins)} ORDER BY #{@order.sql(by_number: direction)} " \
          "LIMIT #{Integer(limit)}")
      end

      # @param ids [Array<Integer>]
      # @return [Array<Integer>] those of them that it lets through
      def among(ids) = column(select(["rows.id IN (#{ids.map { |id| Integer(id) }.join(", ")})", *@said]))

      # @return [Array<Integer>] those that SQL lets through, in order of number
      def candidates = column("#{select(@said)} ORDER BY rows.id")

      # @return [Boolean] whether SQL says anything about which
      def narrowed? = @said.any?

      # @return [Integer]
      def count = Database.connection.select_value("SELECT COUNT(*) FROM #{quoted(@table.key)} AS rows#{where(@said)}")

      # @param expressions [Array<String>] SQL over `rows`
      # @return [Array<Object>] what they come to over all of them
      def reckon(expressions, and_where: nil, group: nil)
        sql = "SELECT #{expressions.join(", ")} FROM #{quoted(@table.key)} AS " \
          "rows#{where([*@said, and_where].compact)}#{" GROUP BY #{group}" if group}"
        (QueryProcess.rows(sql) if QueryProcess.worth?(@table.key)) || Database.connection.select_rows(sql)
      end

      private

      def direction = @descending ? "DESC" : "ASC"

      def select(conditions, joins = "") =
        "SELECT rows.id FROM #{quoted(@table.key)} AS rows #{joins}#{where(conditions)}"

      def where(conditions) = conditions.empty? ? "" : " WHERE #{conditions.join(" AND ")}"

      def column(sql) = Database.connection.select_values(sql)

      def quoted(name) = Database.connection.quote_table_name(name)
    end
  end
end
