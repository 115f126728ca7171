# frozen_string_literal: true

module UpTack
  module Store
    # The core's port to other records: reads them when a formula asks, keeps
    # what it has read for as long as it lives, and can be told in advance what
    # will be asked for.
    class LinkedRecords
      # Linked records held for one question; beyond that they are gone through
      # a batch at a time.
      MOST_HELD = 20_000
      # Linked records for each of those they link to; where there are more, reading those in few queries saves
      # nothing, and what only counts them need not read them.
      MOST_EACH = 500

      # @param project [Core::Design::Project]
      # @return [LinkedRecords] for names alone, outside any request
      def self.build(project)
        records = new(project.tables.to_h { |table| [table.key, Core::Save::Plan.new(table, project.conventions)] })
        clock = Clock.new(project.conventions.time_zone)
        records.context = Core::Context.new(clock: clock, person: Core::Ports::Person.new, records: records)
        records
      end

      # @param plans [Hash{String=>Core::Save::Plan}] by table
      # @param rows [Hash{String=>Rows}] by table, those made ready so far
      def initialize(plans, rows = {})
        @plans = plans
        @rows = rows
        @found = Hash.new { |hash, table| hash[table] = {} }
        @linked = {}
        @titles = {}
      end

      # The context in which fields that are never kept are worked out.
      attr_writer :context

      # @return [LazyRow, Hash, nil]
      def find(table, id)
        known = @found[table]
        known.fetch(id) { known[id] = rows(table).find(id) }
      end

      # @param keys [Array<String>, nil] the fields that will be read; nil for all
      # @yield [id, values] in the order of their numbers
      def each_linked(table, link, id, keys = nil, &block)
        held = @linked.dig([table, link], id)
        return held.each(&block) if held

        after = 0
        loop do
          batch = rows(table).linked_after(link, id, after, keys)
          batch.each(&block)
          break if batch.length < RecordTable::BATCH

          after = batch.last.first
        end
      end

      # @return [Integer]
      def count_linked(table, link, id) =
        @linked.dig([table, link], id)&.length || rows(table).count_linked(link, [id])

      # @return [String, nil]
      def title(table, id)
        @titles[[table, id]] ||= (found = find(table, id)) &&
          Core::Save::RecordTitle.find(@plans.fetch(table).table, id, found, @context)
      end

      # @return [Array<Integer>]
      def named(table, text) = NameSearch.new(@plans.fetch(table), @context).exactly(text)
      def alike(table, text) = NameSearch.new(@plans.fetch(table), @context).like(text, limit: 10).length

      # @return [Array<Integer>]
      def having(table, values, regard_case: false) = rows(table).having(values, regard_case: regard_case)

      # Forgets what was read of a table, since one of its records was saved.
      def forget(table)
        @found.delete(table)
        @linked.delete_if { |(other, _), _| other == table }
        @titles.clear
      end

      # @return [Integer] linked records that it holds
      def size = @found.sum { |_, known| known.length } + @linked.sum { |_, known| known.length }

      # Reads in a few queries what formulas will ask for on a batch of records.
      # @param paths [Array<Array<Core::Expression::Step>>] to the records that they read
      # @param batch [Array<Array(Integer, #[])>] numbers with values
      def preload(paths, batch) = Preload.new(paths.uniq.sort_by(&:length), self).for(batch)

      # Reads records in one go.
      # @param ids [Array<Integer>]
      def load(table, ids)
        known = @found[table]
        missing = ids.uniq.reject { |id| known.key?(id) }
        return if missing.empty?

        missing.each { |id| known[id] = nil }
        rows(table).some(missing).each { |id, row| known[id] = row }
      end

      # Reads all that link to some records in one go, unless they are too many.
      # @return [Array<Array(Integer, LazyRow)>, nil]
      def load_linked(table, link, ids)
        return if ids.empty? || rows(table).count_linked(link, ids) > [MOST_HELD, MOST_EACH * ids.length].min

        known = (@linked[[table, link]] ||= {})
        found = rows(table).linked(link, ids)
        by_id = found.group_by { |_, row| row[link] }
        ids.each { |id| known[id] = by_id.fetch(id, []) }
        found
      end

      private

      def rows(table) =
        @rows[table] ||= @plans.fetch(table).then { |plan| RecordTable.new(plan.table, plan.kept_fields) }
    end
  end
end
