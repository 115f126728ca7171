# frozen_string_literal: true

module UpTack
  module Store
    # Changes the type of a field: every value is read again in the new type
    # from the way in which people saw it in the old one. What the new type
    # can't hold is left blank, but the old values are set aside for an undo.
    class Retyping
      # @param table [Core::Design::Table] after the change
      # @param old [Core::Design::Field] before it
      # @param new [Core::Design::Field] after it
      def initialize(table, old, new, conventions)
        @table = table
        @old = old
        @new = new
        @reading = Core::Reading.new(conventions: conventions, today: Date.new(2000, 1, 1))
      end

      # @param back [Boolean] whether to bring back the values set aside, for the
      #   records that nobody changed since
      def run(back: false)
        current = read_all
        originals = back ? taken_back : {}
        Aside.put_column(@table, Core::Design::Field.new(**@old.to_h, key: @new.key)) unless back
        replace_column
        model = Rows.model(@table.key)
        current.each do |id, value|
          original = originals[id]
          kept = original unless original.nil? || turned(original, @new, @old) != value
          kept = turned(value, @old, @new) if kept.nil?
          model.where(id: id).update_all(@new.key => kept) unless kept.nil?
        end
        restore_lost(originals, current, model)
      end

      # @return [Hash] lost: how many values the new type can't hold, examples: some
      #   of them as people see them, kept: how many it can
      def self.preview(table, old, new, conventions)
        retyping = new(table, old, new, conventions)
        lost = []
        kept = 0
        Rows.new(table).each do |_, values|
          value = values[old.key]
          next if value.nil?

          retyping.turned(value, old, new).nil? ? lost << old.show(value) : kept += 1
        end
        {lost: lost.length, examples: lost.uniq.first(5), kept: kept}
      end

      # @return [Object, nil] the value in the other type
      def turned(value, from, to)
        turned = to.read(from.values.dump(value), @reading)
        turned.is_a?(Core::Values::Unreadable) ? nil : turned
      end

      private

      # Values that did not fit the type now left were blank in it.
      def restore_lost(originals, current, model)
        known = current.to_h
        originals.each do |id, value|
          next if known.key?(id) || !turned(value, @new, @old).nil?
          model.where(id: id).update_all(@new.key => value)
        end
      end

      # The column carries the new key by now, and still the old type.
      def read_all
        Rows.model(@table.key).where.not(@new.key => nil).pluck(:id, @new.key)
      end

      def taken_back
        found = {}
        Aside.take_values(@new) { |id, value| found[id] = value }
        found
      end

      def replace_column
        table, column = [@table.key, @new.key].map { |name| Database.connection.quote_table_name(name) }
        Database.connection.execute("ALTER TABLE #{table} DROP COLUMN #{column}")
        Database.connection.add_column(@table.key, @new.key, @new.values.column)
      end
    end
  end
end
