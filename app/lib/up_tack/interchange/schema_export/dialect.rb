# frozen_string_literal: true

module UpTack
  module Interchange
    module SchemaExport
      # What databases write differently: types, answers, moments, and the comparison of texts whatever their capitals.
      module Dialect
        # SQLite, as its shell reads it.
        module Sqlite
          module_function

          def before = "PRAGMA foreign_keys = OFF;\nBEGIN;\n\n"
          def after = "COMMIT;\nPRAGMA foreign_keys = ON;\n"
          def type(field) = field.values.sql
          def key = "INTEGER PRIMARY KEY"
          def answer(value) = value ? "1" : "0"
          def today = "(date('now'))"
          # Links stand with their columns: whether there are such records is not looked at before the end.
          def links_inside? = true

          # With its zone, so that no reader takes it for a time of another.
          def moment(time) = "'#{time.getutc.strftime("%Y-%m-%d %H:%M:%SZ")}'"
          def compared(left, sign, right) = "(#{left} #{sign} #{right} COLLATE NOCASE)"
          def among(value, options) = "(#{value} COLLATE NOCASE IN (#{options.join(", ")}))"
          # It has no regular expressions of its own.
          def pattern(_key, _rule, _table) = nil
        end

        # PostgreSQL, from version 12 on.
        module Postgresql
          TYPES = {"date" => "date", "datetime" => "timestamp with time zone", "integer" => "bigint",
                   "number" => "numeric", "boolean" => "boolean", "time" => "time"}.freeze
          CLASSES = {"DIGIT" => "[0-9]", "ALPHA" => "[[:alpha:]]", "UPPER" => "[[:upper:]]", "LOWER" => "[[:lower:]]",
                     "ALNUM" => "[[:alnum:]]", "ANY" => "."}.freeze

          module_function

          def before = "SET client_encoding = 'UTF8';\nSET standard_conforming_strings = on;\nBEGIN;\n\n"
          def after = "COMMIT;\n"
          def type(field) = TYPES.fetch(field.values.table_schema, "text")
          def key = "bigint PRIMARY KEY"
          def answer(value) = value ? "TRUE" : "FALSE"
          def today = "CURRENT_DATE"
          # Tables in a circle are there before anything says that they are.
          def links_inside? = false
          def moment(time) = "'#{time.getutc.strftime("%Y-%m-%d %H:%M:%S+00")}'"
          def compared(left, sign, right) = "(lower(#{left}) #{sign} lower(#{right}))"
          def among(value, options) = "(lower(#{value}) IN (#{options.map { |each| "lower(#{each})" }.join(", ")}))"

          def pattern(key, rule, table)
            source = rule.text_expression(table, CLASSES) or return
            "#{key} ~ '^(#{source.gsub("'", "''")})$'"
          end
        end

        ALL = {sql: Sqlite, postgresql: Postgresql}.freeze
      end
    end
  end
end
