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

      # @param workspace [Workspace]
      # @param table [Core::Design::Table]
      # @param filter [Core::Expression::Formula, nil]
      # @param sorts [Array<Store::Query::Sort>] none sorts by number
      # @param searches [Array<String>] SQL over `rows`: texts that stand somewhere in each of them
      # @param since [String, nil] the same, for those that were changed lately
      # @param descending [Boolean] whether the last number comes first, where nothing else sorts
      def initialize(workspace, table, filter: nil, sorts: [], searches: [], since: nil, descending: false)
        @workspace = workspace
        @table = table
        @filter = filter
        @sorts = sorts
        @searches = searches
        @since = since
        @descending = descending
      end

      # @return [Array<Integer>] numbers of the records
      def ids
        # What a transaction may yet take back is not remembered.
        return look_up if Store::Database.connection.transaction_open?

        KNOWN.fetch([base, latest]) { caught_up || look_up }
      end

      # @param limit [Integer]
      # @param at [Integer] how many to leave out
      # @return [Array<Integer>] numbers of a page of them
      def page(limit, at: 0)
        return query.page(limit, at: at) if query.whole? && query.by_number?
        return ids[at, limit] || [] unless query.whole? && at + limit <= KeptBeginning::LENGTH
        return query.page(limit, at: at) if Store::Database.connection.transaction_open?

        (known || beginning(at + limit))[at, limit] || []
      end

      # @return [SortKeys] by what they are ordered
      def keys = @keys ||= SortKeys.new(@workspace, @table, @sorts, descending: @descending)

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
            searches: [*@searches, @since].compact,
            names: method(:names),
            descending: @descending
          )
      end

      private

      # @return [Array<Integer>, nil] all of them, where they are known but for some that were saved since
      def known
        before, ids = KNOWN.latest(base)
        (before == latest) ? ids : caught_up&.tap { |all| KNOWN.keep([base, latest], all) }
      end

      # @return [Array<Integer>] the first of them: so many, unless there are no more
      def beginning(length)
        KNOWN.in_turn(base) do
          Store::Database.at_one_moment do
            now = Store::ChangeLog.latest
            kept = kept_beginning(now, length)
            kept = look_up_beginning unless kept&.reaches?(length)
            KNOWN.keep([base, now, :beginning], kept).ids
          end
        end
      end

      # @param now [Integer] number of the latest entry of the log
      # @param asked [Integer] how many of them
      # @return [KeptBeginning, nil] from what was known before somebody saved something
      def kept_beginning(now, asked)
        seen, kept = KNOWN.latest(base, :beginning)
        before, all = KNOWN.latest(base)
        if all && before > seen.to_i
          length = KeptBeginning::LENGTH
          seen, kept = before, KeptBeginning.new(ids: all.first(length), whole: all.length <= length)
        end
        return kept if seen == now

        changed = kept && kept_order.changed_since(seen, now, most: KeptBeginning::MOST_SAVES) or return
        changed.empty? ? kept : kept.with(query, changed, asked)
      end

      # Where there are more, somebody may soon want to see those far below.
      def look_up_beginning
        path, sql = Store::Database.path, query.sql
        KeptBeginning.look_up(query).tap do |found|
          KNOWN.ahead([base, latest]) { Store::QueryProcess.numbers(sql, path: path) } unless found.whole
        end
      end

      def look_up = query.whole? ? query.ids : worked_out

      # @return [Array<Integer>, nil] from those that were found before somebody saved something
      def caught_up
        before, ids = KNOWN.latest(base)
        kept_order.catch_up(ids, before, latest) if ids && query.whole?
      end

      def kept_order = KeptOrder.new(@table, query, keys, other_tables, decisive)

      # @return [Array<String>, nil] ids of the fields by which records are let through and ordered; nil where the log
      #   does not tell of each change of them: one that is calculated or not watched, a link's name, the version
      def decisive
        return if @sorts.any? { |sort| sort.version? || sort.field.link? }

        keys = [*@sorts.map { |sort| sort.field.key }, *@filter&.references&.map(&:key)].uniq
        return if keys.any? { |key| key.nil? || @table.worked_out?(key) }

        fields = keys.map { |key| @table.field(key) }
        fields.map(&:id) if fields.all? { |field| @table.logged?(field) }
      end

      # Names that are calculated, and texts looked for among names, follow more than the log tells here.
      # @return [Array<String>, nil] ids of tables whose records decide too
      def other_tables
        return if @searches.any? || @filter&.references&.any? { |reference| !reference.own? } || fleeting?

        @sorts.map(&:field).compact.select(&:link?).map { |field| @workspace.project.table(field.target).id }
      end

      def latest = @latest ||= Store::ChangeLog.latest

      def names(table) = Store::NameIndex.find(@workspace.plan(table), @workspace.context)

      # All on which the answer depends but for the records.
      def base
        @base ||= [
          Store::Database.path,
          @workspace.revision_id,
          @table.key,
          @filter&.text,
          @sorts.map { |sort| [sort.key, sort.descending] },
          @descending,
          @searches,
          @since,
          fleeting? ? [@workspace.clock.now.to_i / 60, @workspace.person.id] : nil
        ]
      end

      def fleeting? = [@filter, *sorting].compact.any? { |formula| upkeep.fleeting_in(formula).any? }

      def upkeep = @workspace.project.upkeep

      # @return [Array<Core::Expression::Formula>] of fields that are worked out on reading
      def sorting =
        @sorts
          .reject { |sort| sort.kept?(@table) }
          .map { |sort| upkeep.calculation(@table.key, sort.field.key).formula }

      # Formulas tell which; the order is the database's where it can say it.
      def worked_out
        matches = found
        return matches.sort { |one, other| keys.compare(one, other) }.map(&:last) if sorting.any?

        let_through = matches.to_set(&:last)
        query.ids.select { |id| let_through.include?(id) }
      end

      # @return [Array<Array(Array<Object>, Integer)>] sort keys with numbers
      def found
        paths = [query.rest, *sorting].compact.flat_map { |formula| upkeep.paths_of(formula) }
        links = sorting.any? ? @sorts.filter_map(&:field).select(&:link?) : []
        matches = []
        Store::RecordTable.new(@table).each_batch(query.narrowed? ? query.candidates : nil) do |batch|
          context = keys.context = @workspace.context
          context.records.preload(paths, batch)
          links.each { |link| context.records.load(link.target, batch.filter_map { |_, row| row[link.key] }) }
          batch.each do |id, row|
            matches << [sorting.any? ? keys.of(id, row) : nil, id] if lets_through?(id, row, context)
          end
        end
        matches
      end

      def lets_through?(id, row, context)
        return true if query.rest.nil?

        Store::Deadline.look
        evaluation =
          Core::Expression::Evaluation.new(values: row, old: row, context: context, is_new: false, id: id)
        query.rest.call(evaluation) == true
      end
    end
  end
end
