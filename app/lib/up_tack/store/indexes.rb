# frozen_string_literal: true

module UpTack
  module Store
    # Indexes by which a value is found that must be unique, so that looking for it takes
    # no longer in a table of a million records than in one of ten. They follow the
    # design; a link has one of its own anyway.
    module Indexes
      PREFIX = "up_tack_find_"

      module_function

      # Takes away those whose column goes or becomes another one, before it does.
      # @param from [Core::Design::Project, nil]
      # @param to [Core::Design::Project]
      def let_go(from, to)
        kept = wanted(to)
        before = from ? wanted(from) : {}
        there.each do |name|
          sql("DROP INDEX #{quoted(name)}") unless kept.key?(name) && kept[name].last == before[name]&.last
        end
      end

      # Makes those that are missing.
      # @param project [Core::Design::Project]
      def follow(project)
        known = there
        wanted(project).each { |name, (statement, _)| sql(statement) unless known.include?(name) }
      end

      # @return [Hash{String=>Array(String, Array)}] statements by name, each with what makes it what it is
      def wanted(project)
        project.tables.flat_map { |table| sought(table).flat_map { |field| statements(table, field) } }.to_h
      end

      # @return [Array<Core::Design::Field>] the first field of each rule that looks for other records of the same
      # values
      def sought(table)
        table
          .rules
          .select(&:compares_records?)
          .filter_map do |rule|
            rule.keys.map { |key| table.field(key) }.find { |field| field && !field.link? && table.kept?(field.key) }
          end
          .uniq
      end

      def statements(table, field)
        name, column, place = "#{PREFIX}#{field.id}", quoted(field.key), quoted(table.key)
        mark = [table.id, field.id, field.type, !field.bare.nil?]
        unless Query::Keys.folded?(field)
          return [[name, ["CREATE INDEX #{quoted(name)} ON #{place} (#{column})", mark]]]
        end

        # The second holds the column too: else SQLite would rather go through all of the first.
        [
          [name, ["CREATE INDEX #{quoted(name)} ON #{place} (#{column} COLLATE NOCASE)", mark]],
          ["#{name}_beyond", ["CREATE INDEX #{quoted("#{name}_beyond")} ON #{place} (#{column}) " \
            "WHERE #{EqualityConditions.other(column)}", mark]]
        ]
      end

      def there =
        Database.connection.select_values(
          "SELECT name FROM sqlite_master WHERE type = 'index' AND name LIKE " \
            "'#{PREFIX.gsub("_", "!_")}%' ESCAPE '!'"
        )

      def sql(statement) = Database.connection.execute(statement)
      def quoted(name) = Database.connection.quote_table_name(name)
    end
  end
end
