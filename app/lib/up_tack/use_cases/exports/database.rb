# frozen_string_literal: true

require "sqlite3"
require "tsort"
require "zip"

module UpTack
  module UseCases
    module Exports
      # All tables that the person may see whole, for other programs: as SQL of SQLite or PostgreSQL, as one SQLite
      # file, or as a data package.
      class Database
        def initialize(workspace)
          @workspace = workspace
        end

        # @param kind [Symbol] :sql, :postgresql, :sqlite or :package
        # @param file [File] open for writing
        # @return [void] when all of it is written, however long that takes
        def write(kind, file)
          dialect = Interchange::SchemaExport::Dialect::ALL[kind]
          Store::Deadline.unhurried { dialect ? sql(file, dialect) : public_send(kind, file.path) }
        end

        # @return [Array<Core::Design::Table>] linked ones before those that link to them, as far as there is such an
        # order
        def tables
          open =
            @workspace.project.tables.select do |table|
              table.allows?(role, :see) && table.fields.all? { |field| field.allows?(role, :see) }
            end
          linked = ->(table, &block) { open.select { |each| leads?(table, each.key) }.each(&block) }
          TSort.strongly_connected_components(open.method(:each), linked).flatten
        end

        # @param io [#<<]
        # @param dialect [Module] see Interchange::SchemaExport::Dialect
        def sql(io, dialect = Interchange::SchemaExport::Dialect::Sqlite)
          io << "-- #{@workspace.project.name}, written by Up Tack on #{@workspace.clock.today.iso8601}.\n"
          io << dialect.before
          described = tables.map { |table| [table, describe(table, dialect)] }
          described.each do |table, said|
            io << said.create
            Store::RecordTable.new(table).each { |id, row| io << said.insert(id, row) }
            io << "\n"
          end
          described.each { |_, said| io << said.links }
          io << dialect.after
        end

        # @param path [String] of the file, which must not be there yet
        def sqlite(path)
          target = SQLite3::Database.new(path)
          target.execute_batch(tables.map { |table| describe(table).create }.join)
          target.transaction do
            tables.each do |table|
              said = describe(table)
              insert =
                target.prepare(
                  "INSERT INTO \"#{table.key}\" (#{said.columns.map { |name| "\"#{name}\"" }.join(", ")}) " \
                    "VALUES (#{(["?"] * said.columns.length).join(", ")})"
                )
              Store::RecordTable
                .new(table)
                .each { |id, row| insert.execute(id, *table.kept_fields.map { |field| column_value(row[field.key]) }) }
              insert.close
            end
          end
        ensure
          target&.close
        end

        # A data package (Frictionless, version 1): a CSV for each table, and what is in them.
        # @param path [String]
        def package(path)
          name =
            @workspace
              .project
              .name
              .unicode_normalize(:nfd)
              .gsub(/[^A-Za-z0-9]+/, "-")
              .downcase
              .then { |text| text.gsub(/\A-|-\z/, "") }
          Zip::OutputStream.open(path) do |zip|
            zip.put_next_entry("datapackage.json")
            zip << JSON.pretty_generate(
              "profile" => "tabular-data-package",
              "name" => name.empty? ? "records" : name,
              "title" => @workspace.project.name,
              "created" => Time.now.utc.iso8601,
              "resources" =>
                tables.map do |table|
                  {
                    "profile" => "tabular-data-resource",
                    "name" => table.key,
                    "title" => table.label,
                    "path" => "data/#{table.key}.csv",
                    "encoding" => "utf-8",
                    "schema" => Interchange::SchemaExport::TableSchema.generate(table)
                  }
                end
            )
            tables.each do |table|
              zip.put_next_entry("data/#{table.key}.csv")
              zip << CSV.generate_line(["id", *table.kept_fields.map(&:key)], row_sep: "\r\n")
              Store::RecordTable
                .new(table)
                .each do |id, row|
                  zip << CSV.generate_line(
                    [id, *table.kept_fields.map { |field| field.values.dump(row[field.key])&.to_s }],
                    row_sep: "\r\n"
                  )
                end
            end
          end
        end

        private

        def leads?(table, key) = table.fields.any? { |field| field.link? && field.target == key }

        def role = @workspace.person.role

        def describe(table, dialect = Interchange::SchemaExport::Dialect::Sqlite)
          Interchange::SchemaExport::Sql.new(
            table,
            dialect: dialect,
            repeats: ->(key, folded) { repeats(table, key, folded) },
            astray: ->(rule) { astray(table, rule) },
            holds: ->(condition) do
              Store::Database.connection.select_value(
                "SELECT COUNT(*) FROM #{Store::Database.connection.quote_table_name(table.key)} WHERE NOT " \
                  "(#{condition})"
              )
            end
          )
        end

        # Values that more than one record has.
        def repeats(table, key, folded)
          column = Store::Database.connection.quote_column_name(key)
          value = folded ? "lower(#{column})" : column
          Store::Database.connection.select_value(
            "SELECT COUNT(*) FROM (SELECT 1 FROM #{Store::Database.connection.quote_table_name(table.key)} " \
              "WHERE #{column} IS NOT NULL GROUP BY #{value} HAVING COUNT(*) > 1)"
          )
        end

        def astray(table, rule)
          expression = rule.text_expression(table, Core::Masks::CharacterClasses::PLAIN)
          pattern = Regexp.new("\\A(?:#{expression})\\z")
          texts = Store::RecordTable.new(table).to_enum(:each).lazy.filter_map { |_, row| row[rule.field] }
          texts.count { |text| !pattern.match?(text) }
        end

        def column_value(value)
          case value
          when BigDecimal then value.frac.zero? ? value.to_i : value.to_f
          when true then 1
          when false then 0
          when Date, Core::DayTime then value.iso8601
          when Time then value.getutc.strftime("%Y-%m-%d %H:%M:%SZ")
          else value
          end
        end
      end
    end
  end
end
