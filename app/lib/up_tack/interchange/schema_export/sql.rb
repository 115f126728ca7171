# frozen_string_literal: true

module UpTack
  module Interchange
    module SchemaExport
      # A table in SQL (ISO/IEC 9075, in the dialect of a database): what can be said of its rules as CHECKs, UNIQUE
      # and DEFAULTs, all else as comments, so that nobody takes the SQL for the whole.
      class Sql
        # @param table [Core::Design::Table]
        # @param holds [Proc] takes a condition in SQL of SQLite, and says how many records it does not hold for
        # @param repeats [Proc] takes the key of a field, and whether capitals are the same as small letters, and says
        #   how many values more than one record has
        # @param astray [Proc] takes a rule and says how many texts are not written as it says
        # @param dialect [Module] of Dialect::ALL
        def initialize(table, holds: ->(_) { 0 }, repeats: ->(*) { 0 }, astray: ->(_) { 0 }, dialect: Dialect::Sqlite)
          @table = table
          @dialect = dialect
          @repeats = repeats
          @astray = astray
          @constraints = Constraints.new(table)
          @holds = holds
        end

        # @return [String] CREATE TABLE with its comments
        def create
          checks, comments = checks_and_comments
          lines = [
            "  \"id\" #{@dialect.key}",
            *@table.kept_fields.map { |field| "  #{column(field)}" },
            *checks.map { |check| "  #{check}" }
          ]
          hidden =
            @table
              .fields
              .reject { |field| @table.kept?(field.key) }
              .map do |field|
                "-- #{field.label} is calculated when displayed: #{sentence(@table.calculation(field.key))}"
              end
          notes = ["-- #{@table.label}", *comments, *hidden].map { |line| line.gsub(/[[:cntrl:]\u2028\u2029]+/, " ") }
          "#{notes.join("\n")}\nCREATE TABLE #{name(@table.key)} (\n#{lines.join(",\n")}\n);\n#{folded_indexes.join}"
        end

        # @return [String] what its links say, where that can't stand in CREATE
        def links
          return "" if @dialect.links_inside?

          @table.kept_fields.select(&:link?).map { |field|
            "ALTER TABLE #{name(@table.key)} ADD FOREIGN KEY (#{name(field.key)}) #{references(field)};\n"
          }.join
        end

        # @return [Array<String>] names of its columns
        def columns = ["id", *@table.kept_fields.map(&:key)]

        # @return [String] INSERT of one record
        def insert(id, row) =
          "INSERT INTO #{name(@table.key)} (#{columns.map { |key| name(key) }.join(", ")}) VALUES " \
            "(#{[id, *@table.kept_fields.map { |field| literal(row[field.key]) }].join(", ")});\n"

        # @return [String]
        def literal(value)
          case value
          when nil then "NULL"
          when BigDecimal then Core::Numbers.digits(value)
          when true, false then @dialect.answer(value)
          when Integer then value.to_s
          when Date, Core::DayTime then "'#{value.iso8601}'"
          when Time then @dialect.moment(value)
          else "'#{value.to_s.delete("\0").gsub("'", "''")}'"
          end
        end

        private

        def name(text) = "\"#{text.gsub('"', '""')}\""

        def column(field)
          said = @constraints.find(field.key)
          parts = [name(field.key), @dialect.type(field)]
          parts << "NOT NULL" if said.required && @holds.call("#{name(field.key)} IS NOT NULL").zero?
          parts << "DEFAULT #{default(field, said)}" if default(field, said)
          parts << "UNIQUE" if said.unique == :exactly && @repeats.call(field.key, false).zero?
          parts << references(field) if field.link? && @dialect.links_inside?
          parts.join(" ")
        end

        def references(field) = "REFERENCES #{name(field.target)} (\"id\")"

        # Unique whatever the capitals.
        def folded_indexes
          @table.kept_fields.filter_map do |field|
            next unless @constraints.find(field.key).unique == :folded && @repeats.call(field.key, true).zero?

            "CREATE UNIQUE INDEX #{name("#{@table.key}_#{field.key}_unique")} ON #{name(@table.key)} " \
              "(lower(#{name(field.key)}));\n"
          end
        end

        def default(field, said)
          return literal(said.default) unless said.default.nil?

          rule = @table.rules.find { |each| each.defaults? && each.field == field.key }
          (rule && rule.attributes["formula"].to_s.strip == "today()") ? @dialect.today : nil
        end

        # What records that are there do not keep to would make them impossible to bring in.
        def checks_and_comments
          checks = []
          comments = []
          conditions(Dialect::Sqlite).zip(conditions(@dialect)) do |(words, tested), (_, sql)|
            broken = @holds.call(tested) if tested && sql
            if broken&.zero?
              checks << "CHECK (#{sql})"
            else
              comments << "-- #{words}#{" (#{broken} records that are there don't keep to it)" if broken&.positive?}"
            end
          end
          patterns(checks)
          [checks, comments]
        end

        def patterns(checks)
          @constraints.rest.each do |rule|
            sql = !rule.warning? && !rule.lets_old? && @table.kept?(rule.field) &&
              @dialect.pattern(name(rule.field), rule, @table)
            checks << "CHECK (#{sql})" if sql && @astray.call(rule).zero?
          end
        end

        # @return [Array<Array(String, String)>] sentences with conditions, nil where SQL can't say it
        def conditions(dialect)
          of_fields +
            @constraints
              .rest
              .reject do |rule|
                rule.defaults? && default(@table.field(rule.field), @constraints.find(rule.field))
              end
              .map do |rule|
                condition = rule.as_condition(@table) unless rule.warning? || rule.lets_old?
                [sentence(rule), condition && said(condition, dialect)]
              end
        end

        # @return [String, nil] a formula in SQL
        def said(formula, dialect) =
          Expressions.new(@table, dialect).sql(Core::Expression.compile(formula, @table.scope).tree)

        def of_fields
          @table.kept_fields.flat_map do |field|
            said = @constraints.find(field.key)
            key = name(field.key)
            [
              said.least &&
                [Core::Messages[
                  "interchange.sql.is_at_least", field: field.label, least: field.show(said.least)
                ], "#{key} >= #{literal(said.least)}"],
              said.greatest &&
                [Core::Messages[
                  "interchange.sql.is_at_most", field: field.label, most: field.show(said.greatest)
                ], "#{key} <= #{literal(said.greatest)}"],
              said.among &&
                [
                  Core::Messages["interchange.sql.is_one_of_list", field: field.label],
                  "#{key} IN (#{said.among.map { |value| literal(value) }.join(", ")})"
                ],
              said.shortest &&
                [Core::Messages[
                  "interchange.sql.has_at_least_characters", field: field.label, least: said.shortest
                ], "length(#{key}) >= #{said.shortest}"],
              said.longest &&
                [Core::Messages[
                  "interchange.sql.has_at_most_characters", field: field.label, most: said.longest
                ], "length(#{key}) <= #{said.longest}"],
              said.unique &&
                [
                  Core::Messages[
                    "common.no_two_records_have_same",
                    field: field.label,
                    folded: (" (capitals aside)" if said.unique == :folded)
                  ],
                  nil
                ]
            ].compact.select { |each| each.is_a?(Array) }
          end
        end

        def sentence(rule) = rule ? rule.sentence(@table).to_s.gsub(/\s+/, " ") : "by a rule"
      end
    end
  end
end
