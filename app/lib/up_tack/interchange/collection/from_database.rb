# frozen_string_literal: true

require "sqlite3"

module UpTack
  module Interchange
    module Collection
      # The tables of a database of SQLite, which is only read: none of its views and triggers is run, and no table is
      # read that a program would have to make up.
      class FromDatabase
        TABLES = "SELECT name, sql FROM sqlite_master WHERE type = 'table' AND substr(name, 1, 7) <> 'sqlite_' " \
          "ORDER BY rowid"
        INDEXES = "SELECT sql FROM sqlite_master WHERE type = 'index' AND tbl_name = ? AND sql IS NOT NULL"
        COUNTS = "SELECT type, count(*) FROM sqlite_master WHERE type IN ('view', 'trigger') GROUP BY type"

        # @param path [String]
        # @param name [String]
        # @param folder [String]
        def initialize(path, name, folder)
          @path = path
          @name = name
          @folder = folder
        end

        # @return [Found]
        # @raise [Unreadable]
        def call
          address = "file:#{URI::DEFAULT_PARSER.escape(@path, /[^A-Za-z0-9\/._-]/)}?immutable=1"
          flags = SQLite3::Constants::Open::READONLY | SQLite3::Constants::Open::URI
          @db = SQLite3::Database.new(address, flags: flags)
          @db.execute_batch("PRAGMA trusted_schema = OFF; PRAGMA query_only = ON; PRAGMA cell_size_check = ON")
          Found.new(kind: "database", parts: parts, notes: notes)
        rescue SQLite3::Exception
          raise Unreadable, Core::Messages["interchange.collection.is_not_sound_database", name: @name]
        ensure
          @db&.close
        end

        private

        def parts
          made = @db.execute(TABLES).reject { |_, sql| sql.to_s.match?(/\A\s*create\s+virtual/i) }
          shadows = @db.execute("PRAGMA table_list").filter_map { |row| row[1] if row[2] == "shadow" }
          made = made.reject { |each| shadows.include?(each.first) }
          Collection.check_number(made.length, @name)
          made.each_with_index.map { |(name, sql), index| part(name, sql, File.join(@folder, "#{index}.jsonl")) }
        end

        def part(name, sql, path)
          schema = Sql::Schema.new
          [sql, *@db.execute(INDEXES, [name]).flatten].each { |statement| schema.take(statement.to_s) }
          table = complete(schema.tables.first, name)
          stage = Staging.new(table, path)
          columns = table.columns.map { |column| quoted(column.name) }.join(", ")
          @db.query("SELECT #{columns} FROM #{quoted(name)}") do |rows|
            rows.each { |row| stage.add(row.map { |value| plain(value) }) }
          end
          stage.finish
        end

        # What its statement says is what was understood of it; which columns there are says the database itself.
        def complete(said, name)
          table = Sql::Table.new(name: name, columns: [], links: said&.links || [], checks: said&.checks || [],
            unique: said&.unique || [], notes: said&.notes || [])
          @db.execute("PRAGMA table_xinfo(#{quoted(name)})").each do |_, column, declared, required, _, key, hidden|
            next if hidden == 1

            table.columns << (said&.column(column) || Sql::Column.new(name: column, type: Sql.type(declared),
              text: Sql.text?(declared), required: required == 1, key: key.positive?)).tap { |each| each.name = column }
          end
          table
        end

        def plain(value)
          case value
          when Integer then Sql::Number.new(value.to_s)
          when Float then value.finite? ? Sql::Number.new(value.to_s) : value.to_s
          when SQLite3::Blob then Sql::Literals::LEFT
          when String then (value.encoding == Encoding::BINARY) ? Sql::Literals::LEFT : value
          else value
          end
        end

        def notes
          counts = @db.execute(COUNTS).to_h
          Collection.left_out(views: counts["view"].to_i, triggers: counts["trigger"].to_i)
        end

        def quoted(name) = "\"#{name.gsub("\"", "\"\"")}\""
      end
    end
  end
end
