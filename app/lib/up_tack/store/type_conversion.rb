# frozen_string_literal: true

module UpTack
  module Store
    # Changes the type of a field: every value is read again in the new type
    # from the way in which people saw it in the old one. What the new type
    # can't hold is left blank, but the old values are set aside for an undo.
    class TypeConversion
      # @return [Boolean] whether a field's values must be read again: its type, or
      #   the table that it links to, is another one
      def self.needed?(from, to, old, new)
        old.type != new.type || (new.link? && from.table(old.target).id != to.table(new.target).id)
      end

      # @param from [Core::Design::Project] before the change
      # @param to [Core::Design::Project] after it
      # @param table [Core::Design::Table] after it
      # @param old [Core::Design::Field] before it
      # @param new [Core::Design::Field] after it
      def initialize(from, to, table, old, new)
        @from = from
        @to = to
        @table = table
        @old = old
        @new = new
      end

      # @param replaced [Replaced] takes note
      # @param back [Boolean] whether to bring back the values set aside, for the
      #   records that nobody changed since
      # @param ahead [Recalculation::Ahead, nil] where the same was done before
      def run(replaced, back: false, ahead: nil)
        replaced.note(@table, @new)
        left = ahead && left_by(ahead)
        current = read(left)
        originals = back ? taken_back(left) : {}
        Archive.put_column(@table, renamed) unless back
        replace_column
        current.each do |id, value|
          original = originals[id]
          kept = original unless original.nil? || turned(original, @new, @old) != value
          kept = turned(value, @old, @new) if kept.nil?
          write(id, kept) unless kept.nil?
        end
        restore_lost(originals, current)
        ahead.take_column(@table, @new, left) if left
      end

      # @return [Hash] lost: how many values the new type can't hold, examples: some
      #   of them as people see them, kept: how many it can
      def self.preview(project, table, old, new)
        retyping = new(project, project, table, old, new)
        lost = []
        kept = 0
        RecordTable.new(table).each do |_, values|
          value = values[old.key]
          next if value.nil?

          retyping.turned(value, old, new).nil? ? lost << old.show(value, retyping.records(old)) : kept += 1
        end
        {lost: lost.length, examples: lost.uniq.first(5), kept: kept, distinct: lost.uniq}
      end

      # @return [Object, nil] the value in the other type
      # Of many records with the same value it is found once.
      def turned(value, from, to)
        # One for each direction.
        @turned ||= {}.compare_by_identity
        (@turned[to] ||= Core::InternCache.new).one(value) { converted(value, from, to) }
      end

      def converted(value, from, to)
        given = from.link? ? from.show(value, records(from)) : from.values.dump(value)
        turned =
          to.read(
            given,
            Core::ParseContext.new(
              conventions: @to.conventions,
              today: Core::Calendar.day(2000, 1, 1),
              records: records(to)
            )
          )
        turned.is_a?(Core::Values::Unreadable) ? nil : turned
      end

      # @return [LinkedRecords] in which a link of the field is looked up
      def records(field)
        (@records ||= {})[field] ||= begin
          project = (field == @old) ? @from : @to
          field.link? ? LinkedRecords.build(project) : Core::Ports::NoRecords
        end
      end

      private

      # @return [Array<Integer>, nil] records that were saved since; nil where any may have become another value since,
      #   by what a record of another table is called
      def left_by(ahead)
        linked = [[@from, @old], [@to, @new]].select { |_, field| field.link? }
        return if linked.any? { |project, field| ahead.saved_in(project.table(field.target))&.empty? != true }

        ahead.saved_in(@table)
      end

      # Values that did not fit the type now left were blank in it.
      def restore_lost(originals, current)
        known = current.to_h
        originals.each do |id, value|
          write(id, value) unless known.key?(id) || !turned(value, @new, @old).nil?
        end
      end

      def write(id, value) = WholeColumn.write(@table, @new.key, id, ColumnCodec.write(value, @new))

      # The column carries the new key by now, and still the old type.
      def renamed = Core::Design::Field.new(**@old.to_h, key: @new.key)

      def read(ids)
        reader = ColumnCodec.reader(@old)
        WholeColumn.read(@table, @new.key, ids).map { |id, raw| [id, reader.call(raw)] }
      end

      def taken_back(ids)
        reader = ColumnCodec.reader(@new)
        found = {}
        Archive.take_values(@new, ids) { |id, value| found[id] = reader.call(value) }
        found
      end

      def replace_column
        Columns.drop(@table, renamed)
        Columns.add(@table, @new)
      end
    end
  end
end
