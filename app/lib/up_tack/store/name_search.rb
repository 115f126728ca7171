# frozen_string_literal: true

module UpTack
  module Store
    # Finds records of a table by the name under which people know them.
    class NameSearch
      # One record that matches. details:: what else tells it from others of its name
      Match = Struct.new(:id, :title, :details, keyword_init: true)
      # Values shown beside a name.
      DETAILS = 3
      # Records asked about together whether they belong.
      TOGETHER = 200

      # @param plan [Core::Save::Plan]
      # @param context [Core::Context]
      def initialize(plan, context)
        @table = plan.table
        @context = context
        @index = NameIndex.find(plan, context)
      end

      # @return [Array<Integer>] records of exactly this name, capitals aside
      def exactly(text) = @index.exactly(Core::Unicode.folded(text))

      # Records that have all the words typed somewhere in their name, or in what
      # is shown beside it; names that begin so come first.
      # @param text [String]
      # @yield [ids] gives those of some records that may be among them; all of them without a block
      # @return [Array<Match>]
      def like(text, limit: 20, &belonging)
        words = Core::Unicode.folded(text).split
        found = belonging ? among(ranked(words, Float::INFINITY), limit, belonging) : ranked(words, limit).first(limit)
        values = RecordTable.new(@table).find_all(found.map(&:id))
        found.filter_map do |name|
          Match.new(id: name.id, title: name.title, details: details(values[name.id])) if values[name.id]
        end
      end

      private

      # The names are in their order, so that each rank is in order as well.
      def ranked(words, limit)
        ranks = Array.new(4) { [] }
        keep = ->(rank, name) { ranks[rank] << name if ranks[rank].length < limit }
        whole = words.join(" ")
        @index.each_beginning(whole) do |name|
          keep.call(0, name)
          return ranks.first if ranks.first.length == limit
        end
        starts = words.map { |word| /(?<![[:alnum:]])#{Regexp.escape(word)}/ }
        @index.each_with(words) do |name|
          keep.call(rank(name, words, starts), name) unless name.folded.start_with?(whole)
        end
        ranks.flatten
      end

      # Some at a time, so that what is asked of them is read together, and no
      # more than are needed.
      def among(names, limit, belonging)
        names.each_slice(TOGETHER).reduce([]) do |found, some|
          break found if found.length >= limit

          ids = belonging.call(some.map(&:id)).to_set
          found + some.select { |name| ids.include?(name.id) }
        end.first(limit)
      end

      def rank(name, words, starts)
        return 3 unless words.all? { |word| name.folded.include?(word) }

        (starts.all? { |start| name.folded.match?(start) }) ? 1 : 2
      end

      def details(values)
        return [] unless @table.allows?(@context.person&.role, :see)

        @index
          .beside
          .filter_map { |field| field.show(values[field.key], @context.records) unless values[field.key].nil? }
          .first(DETAILS)
      end
    end
  end
end
