# frozen_string_literal: true

module UpTack
  module Services
    # The records of a table that a filter lets through, in the order of some fields.
    # What SQL can say is asked of the database; the rest is worked out on every record
    # that is left: so it is the same for fields that are kept and those that are not.
    # What was found is remembered until a record or the design changes.
    class Selection
      # Those of the latest questions.
      KNOWN = QueryCache.new(12)
      # Records from the beginning of an order that are looked up with its first page: to find
      # so many takes no longer than to find one.
      HEAD = 5_000

      # @param workspace [Workspace]
      # @param table [Core::Design::Table]
      # @param filter [Core::Expression::Formula, nil]
      # @param sorts [Array<Store::Query::Sort>] none sorts by number
      # @param searches [Array<Store::Query::Search>] texts that stand somewhere in each of them
      # @param descending [Boolean] whether the last number comes first, where nothing else sorts
      def initialize(workspace, table, filter: nil, sorts: [], searches: [], descending: false)
        @workspace = workspace
        @table = table
        @filter = filter
        @sorts = sorts
        @searches = searches
        @descending = descending
      end

      # @return [Array<Integer>] numbers of the records
      def ids
        # What a transaction may yet take back is not remembered.
        return look_up if Store::Database.connection.transaction_open?

        KNOWN.fetch(key) { look_up }
      end

      # @param limit [Integer]
      # @param at [Integer] how many to leave out
      # @return [Array<Integer>] numbers of a page of them
      def page(limit, at: 0)
        return query.page(limit, at: at) if query.whole? && query.by_number?
        return ids[at, limit] || [] unless query.whole? && at + limit <= HEAD
        return query.page(limit, at: at) if Store::Database.connection.transaction_open?

        KNOWN.fetch([key, :head]) { head }[at, limit] || []
      end

      # @return [Integer] how many there are
      def count = query.rest ? ids.length : query.count

      # @return [Store::Query]
      def query
        @query ||=
          Store::Query.new(
            @table,
            @workspace.context,
            filter: @filter,
            sorts: @sorts,
            searches: @searches.map(&:sql),
            names: method(:names),
            descending: @descending
          )
      end

      private

      # Where there are more, somebody may soon want to see those far below.
      def head
        path, sql = Store::Database.path, query.sql
        query
          .page(HEAD)
          .tap { |first| KNOWN.ahead(key) { Store::QueryProcess.numbers(sql, path: path) } if first.length == HEAD }
      end

      def look_up = query.whole? ? query.ids : worked_out

      def names(table) = Store::NameIndex.find(@workspace.plan(table), @workspace.context)

      def key
        fleeting = [@filter, *sorting].compact.any? { |formula| upkeep.fleeting_in(formula).any? }
        [
          Store::Database.path,
          @workspace.revision_id,
          Store::ChangeLog.latest,
          @table.key,
          @filter&.text,
          @sorts.map { |sort| [sort.field.key, sort.descending] },
          @descending,
          @searches.map(&:sql),
          fleeting ? [@workspace.clock.now.to_i / 60, @workspace.person.id] : nil
        ]
      end

      def upkeep = @workspace.project.upkeep

      # @return [Array<Core::Expression::Formula>] of fields that are worked out on reading
      def sorting =
        @sorts
          .reject { |sort| @table.kept?(sort.field.key) }
          .map { |sort| upkeep.calculation(@table.key, sort.field.key).formula }

      # Formulas tell which; the order is the database's where it can say it.
      def worked_out
        matches = found
        return ordered(matches).map(&:last) if sorting.any?

        let_through = matches.to_set(&:last)
        query.ids.select { |id| let_through.include?(id) }
      end

      # @return [Array<Array(Array<Object>, Integer)>] sort keys with numbers
      def found
        paths = [query.rest, *sorting].compact.flat_map { |formula| upkeep.paths_of(formula) }
        links = sorting.any? ? @sorts.map(&:field).select(&:link?) : []
        matches = []
        Store::RecordTable.new(@table).each_batch(query.narrowed? ? query.candidates : nil) do |batch|
          @context = @workspace.context
          @context.records.preload(paths, batch)
          links.each { |link| @context.records.load(link.target, batch.filter_map { |_, row| row[link.key] }) }
          batch.each { |id, row| matches << [sorting.any? ? sort_keys(id, row) : nil, id] if lets_through?(id, row) }
        end
        matches
      end

      def lets_through?(id, row)
        return true if query.rest.nil?

        Store::Deadline.look
        query.rest.call(evaluation(id, row)) == true
      end

      def evaluation(id, row)
        Core::Expression::Evaluation.new(values: row, old: row, context: @context, is_new: false, id: id)
      end

      def sort_keys(id, row) = @sorts.map { |sort| sort_key(sort.field, id, row) }

      # As what is shown compares: text without regard to case, a link by its name.
      def sort_key(field, id, row)
        Store::Deadline.look
        value = row.fetch(field.key) { @table.scope[field.key].computed.call(evaluation(id, row)) }
        case value
        when nil then nil
        when Integer then Core::Unicode.folded(field.show(value, @context.records))
        when String then Core::Unicode.folded(value)
        when true then 1
        when false then 0
        else value
        end
      end

      # Blanks come last both ways; records of one value keep the order of their numbers.
      def ordered(matches) = matches.sort { |one, other| compare(one, other) }

      def compare((keys, id), (others, other_id))
        @sorts.each_with_index do |sort, index|
          one, other = keys[index], others[index]
          next if one == other
          return one.nil? ? 1 : -1 if one.nil? || other.nil?

          return sort.descending ? other <=> one : one <=> other
        end
        id <=> other_id
      end
    end
  end
end
