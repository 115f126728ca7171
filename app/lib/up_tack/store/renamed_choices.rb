# frozen_string_literal: true

module UpTack
  module Store
    # The choices that records have in one field, under other names. What they had is set aside, since
    # two that became one could not be told apart again.
    class RenamedChoices
      # @param table [Core::Design::Table] after the change
      # @param field [Core::Design::Field] of it
      # @param names [Hash{String=>String}] new names by old ones
      def initialize(table, field, names)
        @table = table
        @field = field
        @names = names
        @model = RecordTable.model(table.key)
      end

      # @param replaced [Replaced] takes note
      # @return [void]
      def follow(replaced)
        Archive.put_column(@table, @field, only: @names.keys)
        rename(@names, replaced)
      end

      # Gives the old names back: to records that still have what theirs became and, where a name is
      # told by no other choice, to those that were given it since.
      # @param choices [Array<String>] those that there are again
      # @param replaced [Replaced] takes note
      # @return [void]
      def take_back(choices, replaced)
        originals = Hash.new { |hash, name| hash[name] = [] }
        Archive.take_values(@field) { |id, name| originals[name] << id }
        # What these records have is read before anything is written: names may have changed places.
        kept =
          originals.to_h do |old, ids|
            [old, ids.each_slice(500).flat_map { |some| @model.where(:id => some, @field.key => @names[old]).ids }]
          end
        replaced.note(@table, @field, kept.values.flatten)
        rename(sole(choices), replaced)
        kept.each { |old, ids| ids.each_slice(500) { |some| @model.where(id: some).update_all(@field.key => old) } }
      end

      private

      # Old names by new ones that stand for one choice alone.
      def sole(choices)
        once = @names.invert.select { |name, _| @names.values.count(name) == 1 }
        once.reject { |name, _| choices.include?(name) && !@names.key?(name) }
      end

      # All at once, so that two choices can change names.
      def rename(names, replaced)
        return if names.empty?

        having = @model.where(@field.key => names.keys)
        replaced.note(@table, @field, having.ids)
        column = Database.connection.quote_column_name(@field.key)
        quoted =
          names.map { |old, name| "WHEN #{Database.connection.quote(old)} THEN #{Database.connection.quote(name)}" }
        having.update_all("#{column} = CASE #{column} #{quoted.join(" ")} END")
      end
    end
  end
end
