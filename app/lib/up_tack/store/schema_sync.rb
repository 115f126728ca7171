# frozen_string_literal: true

module UpTack
  module Store
    # Makes the real tables follow the design, inside the caller's transaction.
    # Nothing is thrown away: the values of a field that goes, that changes its
    # type or that is worked out from now on are set aside and come back with an
    # undo.
    class SchemaSync
      # @param from [Core::Design::Project, nil]
      # @param to [Core::Design::Project]
      # @param back [Boolean] whether this undoes a change
      # @param renamed [Hash{String=>Hash{String=>String}}] choices that the change renamed, or that
      #   get their names back: new names by old ones, by id of the field
      # @param ahead [Recalculation::Ahead, nil] where the same was done before
      def initialize(from, to, back: false, renamed: {}, ahead: nil)
        @from = from
        @to = to
        @back = back
        @renamed = renamed
        @ahead = ahead
        @replaced = Replaced.new
        @connection = Database.connection
      end

      # @return [Array<Core::Design::Table>] those, before the change, of which whole columns are rewritten
      def self.rewritten(from, to)
        after = to.tables.flat_map { |table| table.fields.map { |field| [[table.id, field.id], field] } }.to_h
        from.tables.select do |table|
          table.kept_fields.any? do |field|
            other = after[[table.id, field.id]]
            other && (TypeConversion.needed?(from, to, field, other) || Separators.needed?(field, other))
          end
        end
      end

      # @return [Replaced] the fields that have other values by it
      def follow
        Indexes.let_go(@from, @to)
        old_tables = @from ? @from.tables.to_h { |table| [table.id, table] } : {}
        new_tables = @to.tables.to_h { |table| [table.id, table] }
        (old_tables.keys - new_tables.keys).each { |id| put_table(old_tables[id]) }
        rename_tables(old_tables, new_tables)
        brought = (new_tables.keys - old_tables.keys).map { |id| new_tables[id] }
        brought.each { |table| bring_table(table) }
        brought.each { |table| bring_links(table) }
        (new_tables.keys & old_tables.keys).each { |id| alter(old_tables[id], new_tables[id]) }
        Indexes.follow(@to)
        @replaced
      end

      private

      # A table that is set aside lets go of the records that it links to.
      def put_table(table)
        links(table).each { |field| put_column(table, field) }
        Archive.put_table(table)
      end

      # Two steps, so that two tables can change names.
      def rename_tables(old_tables, new_tables)
        renamed =
          (old_tables.keys & new_tables.keys)
            .map { |id| [old_tables[id].key, new_tables[id].key, id] }
            .reject { |old, new, _| old == new }
        renamed.each { |old, _, id| @connection.rename_table(old, "up_tack_moving_#{id}") }
        renamed.each { |_, new, id| @connection.rename_table("up_tack_moving_#{id}", new) }
      end

      def bring_table(table)
        return if Archive.take_table(table, @replaced)

        @connection.create_table(table.key) do |t|
          (table.kept_fields - links(table)).each { |field| t.column(field.key, field.values.column) }
        end
      end

      def bring_links(table) = links(table).each { |field| bring_column(table, field) }

      def links(table) = table.kept_fields.select(&:link?)

      def alter(old, new)
        before = old.fields.to_h { |field| [field.id, field] }
        after = new.fields.to_h { |field| [field.id, field] }
        gone, stays = before.keys.partition { |id| !after.key?(id) || !new.kept?(after[id].key) }
        gone.each { |id| put_column(old, before[id], under: new) if old.kept?(before[id].key) }
        kept = stays.select { |id| old.kept?(before[id].key) }
        rename_columns(new, kept, before, after)
        kept.each { |id| change_column(old, new, before[id], after[id]) }
        (after.keys - kept).each { |id| bring_column(new, after[id]) if new.kept?(after[id].key) }
      end

      def put_column(table, field, under: table)
        Archive.put_column(under, field)
        Columns.drop(under, field)
      end

      def bring_column(table, field)
        Columns.add(table, field)
        Archive.take_column(table, field, @replaced)
        Columns.clear_dangling(table, field, @replaced) if field.link?
      end

      def rename_columns(table, ids, before, after)
        renamed = ids.map { |id| [before[id].key, after[id].key, id] }.reject { |old, new, _| old == new }
        renamed.each { |old, _, id| Columns.rename(table, old, "up_tack_moving_#{id}") }
        renamed.each { |_, new, id| Columns.rename(table, "up_tack_moving_#{id}", new) }
      end

      def change_column(old, new, before, after)
        if TypeConversion.needed?(@from, @to, before, after)
          TypeConversion.new(@from, @to, new, before, after).run(@replaced, back: @back, ahead: @ahead)
        end
        rename_choices(new, before, after) if @renamed.key?(after.id)
        Separators.new(new, before, after).follow(@ahead) if Separators.needed?(before, after)
        follow_rule(old, new, before, after)
      end

      def rename_choices(table, before, after)
        choices = RenamedChoices.new(table, after, @renamed.fetch(after.id))
        @back ? choices.take_back(after.choices, @replaced) : choices.follow(@replaced)
      end

      def stamped?(table, field) =
        table.rules.any? { |rule| rule.field == field.key && rule.backfills? }

      # What people typed is set aside when a field begins to be worked out.
      def follow_rule(old, new, before, after)
        was = old.worked_out?(before.key)
        is = new.worked_out?(after.key)
        Archive.put_column(new, after) if is && !was && !@back
        Archive.take_column(new, after, @replaced) if was && !is && @back
        FilledFromLog.take_back(new, after, @replaced) if @back && stamped?(old, before) && !stamped?(new, after)
      end
    end
  end
end
