# frozen_string_literal: true

module UpTack
  module Interchange
    module Collection
      # The tables of a database that was written down as SQL.
      class FromSql
        # @param path [String]
        # @param name [String]
        # @param folder [String]
        def initialize(path, name, folder)
          @name = name
          @folder = folder
          @statements = Sql::Statements.new(path, name)
          @schema = Sql::Schema.new(escapes: @statements.escapes?)
          @rows = Sql::Rows.new(escapes: @statements.escapes?, name: name)
          @stages = {}
        end

        # @return [Found]
        # @raise [Unreadable]
        def call
          @statements.each { |kind, text| (kind == :row) ? copied(text) : statement(text) }
          Collection.check_number(@schema.tables.length, @name)
          parts = @schema.tables.map { |table| stage(table).finish }
          Found.new(kind: "dump", parts: parts, notes: notes)
        ensure
          @stages.each_value(&:finish)
        end

        private

        def statement(text)
          @copy = @rows.copied(text)
          return @copy = [described(*@copy), @copy.last] if @copy

          insert(text) || @schema.take(text)
        end

        def insert(text)
          @rows.of_insert(text) do |table, columns, values|
            table = described(table, columns, values.length)
            stage(table).add(values, places(table, columns))
          end
        end

        def copied(line)
          table, columns = @copy
          stage(table).add(@rows.of_line(line), places(table, columns))
        end

        # A table of which only rows are there has the columns that they name.
        def described(name, columns, number = columns.length)
          @schema.table(name) || @schema.add(
            Sql::Table.new(
              name: name, links: [], checks: [], unique: [], notes: [],
              columns: Array.new(number) { |index| Sql::Column.new(name: columns[index] || "Column #{index + 1}") }
            )
          )
        end

        def places(table, columns)
          return if columns.empty?

          (@places ||= {})[[table.name, columns]] ||=
            columns.map { |name| table.columns.index(table.column(name)) }
        end

        def stage(table) =
          @stages[table.name.downcase] ||= Staging.new(table, File.join(@folder, "#{@stages.length}.jsonl"))

        def notes = Collection.left_out(@schema.left_out)
      end
    end
  end
end
