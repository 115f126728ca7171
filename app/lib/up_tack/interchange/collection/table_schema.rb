# frozen_string_literal: true

module UpTack
  module Interchange
    module Collection
      # What a Table Schema (Frictionless, version 1) says of a table.
      module TableSchema
        TYPES = {"integer" => "number", "number" => "number", "boolean" => "yes_no", "date" => "date", "time" => "time",
                 "datetime" => "moment", "year" => "number"}.freeze

        module_function

        # @param name [String]
        # @param schema [Hash, nil]
        # @return [Sql::Table, nil]
        def read(name, schema)
          return unless schema.is_a?(Hash) && schema["fields"].is_a?(Array)

          keys = Array(schema["primaryKey"])
          columns = schema["fields"].map { |field| column(field, keys) }
          links = Array(schema["foreignKeys"]).map do |each|
            to = each["reference"]
            Sql::Link.new(columns: Array(each["fields"]), references: Array(to["fields"]),
              table: to["resource"].to_s.empty? ? name : to["resource"])
          end
          Sql::Table.new(name: name, columns: columns, links: links, checks: ranges(schema["fields"]),
            unique: (keys.length > 1) ? [keys] : [], notes: patterns(schema["fields"]))
        end

        def patterns(fields)
          fields.filter_map do |field|
            pattern = field.dig("constraints", "pattern") or next
            Core::Messages["interchange.collection.pattern_is_not_taken", column: field["name"].to_s,
              pattern: pattern.to_s[0, 200]]
          end
        end

        def column(field, keys)
          said = field["constraints"] || {}
          type = TYPES[field["type"]]
          Sql::Column.new(
            name: field["name"], type: type, text: field["type"] == "string",
            required: said["required"] || keys.include?(field["name"]), key: keys.include?(field["name"]),
            unique: said["unique"] || keys == [field["name"]], longest: said["maxLength"],
            choices: (said["enum"] if field["type"] == "string")
          )
        end

        # As conditions of SQL.
        def ranges(fields)
          fields.flat_map do |field|
            said = field["constraints"] || {}
            name = "\"#{field["name"].to_s.gsub("\"", "\"\"")}\""
            [
              ("#{name} >= #{literal(said["minimum"])}" if said.key?("minimum")),
              ("#{name} <= #{literal(said["maximum"])}" if said.key?("maximum")),
              ("length(#{name}) >= #{said["minLength"]}" if said["minLength"].is_a?(Integer))
            ].compact
          end
        end

        def literal(value) = value.is_a?(Numeric) ? value.to_s : "'#{value.to_s.gsub("'", "''")}'"
      end
    end
  end
end
