# frozen_string_literal: true

module UpTack
  module Store
    # The names of all records of one table, held in memory in the order in which
    # they are read, so that typing one finds it at once among many thousands.
    # Kept up by the change log: what was saved since is read again.
    class NameIndex
      # One record. folded:: its name as formulas compare it; all:: the same with
      #   what stands beside it, a line each
      Name = Struct.new(:id, :title, :folded, :all)
      # Tables remembered.
      MOST = 12
      # Saves since the last look beyond which everything is read again.
      MOST_SAVES = 500

      @mutex = Mutex.new
      @known = {}
      Generation.on("all") { @mutex.synchronize { @known.clear } }

      class << self
        # Inside a transaction nothing is remembered that it may yet take back.
        # @param plan [Core::Save::Plan]
        # @param context [Core::Context]
        # @return [NameIndex] up to date
        def find(plan, context)
          return new(plan, context) unless lasting?(plan.table)
          return fleeting(plan, context) if Database.connection.transaction_open?

          @mutex.synchronize do
            index = @known.delete(key(plan)) || new(plan, context)
            @known[key(plan)] = index
            @known.shift while @known.length > MOST
            index.catch_up(context)
          end
        end

        # Names that are worked out when they are read may change by themselves.
        def lasting?(table) = table.title_field.nil? || table.kept?(table.title_field.key)

        private

        def key(plan) = [Database.path, CompiledDesign.current.revision_id, plan.table.id]

        def fleeting(plan, context)
          known = @mutex.synchronize { @known[key(plan)]&.dup }
          known ? known.catch_up(context) : new(plan, context)
        end
      end

      # @return [Array<Name>] in the order of their names
      attr_reader :names

      def initialize(plan, context)
        @table = plan.table
        @seen = ChangeLog.latest
        read_all(context)
      end

      # @return [Array<Integer>] records of exactly this name, capitals aside
      def exactly(folded)
        from = names.bsearch_index { |name| name.folded >= folded } || names.length
        names[from..].take_while { |name| name.folded == folded }.map(&:id).sort
      end

      # All names lie in one string one after the other, which is searched many
      # times as fast as one by one.
      # @param words [Array<String>] folded
      # @yield [Name] each record that has all of them somewhere, in order
      def each_with(words)
        rarest, *others = words.sort_by { |word| -word.length }
        return names.each { |name| yield name } unless rarest

        lay_out unless @text
        sought = rarest.b
        place = 0
        while (hit = @text.index(sought, place))
          index = (@starts.bsearch_index { |start| start > hit } || @starts.length) - 1
          yield names[index] if others.all? { |word| names[index].all.include?(word) }
          place = @starts[index + 1] or break
        end
      end

      # @param text [String] folded
      # @yield [Name] each record whose name begins so, in order
      def each_beginning(text)
        from = names.bsearch_index { |name| name.folded >= text } || names.length
        while from < names.length && names[from].folded.start_with?(text)
          yield names[from]
          from += 1
        end
      end

      # Reads again what was saved since.
      # @return [self]
      def catch_up(context)
        latest = ChangeLog.latest
        return self if latest == @seen

        own, elsewhere = saves.partition { |table_id, _, followed|
          table_id == @table.id && (followed.nil? || !follows?)
        }
        if own.length > MOST_SAVES || elsewhere.any?
          read_all(context)
        elsif own.any?
          read_some(own.map { |_, id, _| id }.uniq, context)
        end
        @text = nil if own.any? || elsewhere.any?
        @seen = latest
        self
      end

      # @return [Array<Core::Design::Field>] whose values stand beside a name
      def beside
        @beside ||=
          @table
            .kept_fields
            .reject do |field|
              field == @table.title_field || @table.worked_out?(field.key) || field.access&.value?("nothing") ||
                field.closed.any? || (field.long? || field.yes_no?)
            end
            .first(NameSearch::DETAILS + 2)
      end

      private

      # Those since the last look by which a name may have become another one.
      # @return [Array<Array(String, Integer, String)>] table, record, and what followed elsewhere
      def saves
        named = "(#{[@table.id, *linked_tables.map(&:id)].map { |id| Database.connection.quote(id) }.join(", ")})"
        # By their numbers they are found at once, however many the tables have.
        Database.connection.select_rows(
          "SELECT table_id, record_id, followed FROM main.up_tack_entries NOT INDEXED WHERE id > #{Integer(@seen)} " \
            "AND (table_id IN #{named}#{" OR followed IS NOT NULL" if follows?}) LIMIT #{MOST_SAVES + 1}"
        )
      end

      # Whether a name is calculated, here or where a link beside it leads.
      def follows?
        return @follows unless @follows.nil?

        @follows = [@table, *linked_tables].any? { |table|
          table.title_field && table.worked_out?(table.title_field.key)
        }
      end

      def lay_out
        place = 0
        @starts = names.map { |name| place.tap { place += name.all.bytesize + 1 } }
        @text = names.map(&:all).join("\0").b
      end

      def linked_tables =
        @linked_tables ||= beside.select(&:link?).map { |field| @table.neighbours.tables.fetch(field.target) }

      def read_all(context)
        found = []
        RecordTable
          .new(@table)
          .each_batch do |batch|
            beside
              .select(&:link?)
              .each { |field| context.records.load(field.target, batch.filter_map { |_, row| row[field.key] }) }
            batch.each { |id, row| found << name(id, row, context) }
          end
        @names = found.sort_by! { |name| [name.folded, name.id] }
      end

      def read_some(ids, context)
        fresh = RecordTable.new(@table).find_all(ids).map { |id, row| name(id, row, context) }
        kept = @names.reject { |name| ids.include?(name.id) }
        fresh.each do |each|
          kept.insert(
            kept.bsearch_index { |name| ([name.folded, name.id] <=> [each.folded, each.id]) >= 0 } || kept.length,
            each
          )
        end
        @names = kept
      end

      def name(id, row, context)
        title = Core::Save::RecordTitle.find(@table, id, row, context)
        others = beside.filter_map { |field| field.show(row[field.key], context.records) unless row[field.key].nil? }
        folded = Core::Unicode.folded([title, *others].join("\n"))
        Name.new(id, title, folded[/\A[^\n]*/], folded)
      end
    end
  end
end
