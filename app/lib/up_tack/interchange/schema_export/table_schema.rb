# frozen_string_literal: true

module UpTack
  module Interchange
    module SchemaExport
      # A table as Frictionless Table Schema (version 1), with its constraints.
      module TableSchema
        module_function

        # @param table [Core::Design::Table]
        # @return [Hash{String=>Object}]
        def generate(table)
          said = Constraints.new(table)
          links = table.kept_fields.select(&:link?)
          {
            "fields" => [
              {"name" => "id", "type" => "integer", "constraints" => {"required" => true, "unique" => true}},
              *table.kept_fields.map { |field| field(field, said.find(field.key)) }
            ],
            "primaryKey" => "id",
            "missingValues" => [""],
            "foreignKeys" =>
              links.map do |field|
                {
                  "fields" => field.key,
                  "reference" => {"resource" => (field.target == table.key) ? "" : field.target, "fields" => "id"}
                }
              end
          }.reject { |_, value| value == [] }
        end

        def field(field, said)
          value = ->(each) { field.values.dump(each) }
          constraints = {
            "required" => said.required,
            "unique" => (true if said.unique),
            "minimum" => said.least && value.call(said.least),
            "maximum" => said.greatest && value.call(said.greatest),
            "enum" => said.among&.map { |each| value.call(each) },
            "minLength" => said.shortest,
            "maxLength" => said.longest
          }.compact
          {
            "name" => field.key,
            "title" => field.label,
            "description" => field.note,
            "type" => field.values.table_schema,
            "constraints" => (constraints if constraints.any?)
          }.compact
        end
      end
    end
  end
end
