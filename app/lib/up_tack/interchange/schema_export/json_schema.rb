# frozen_string_literal: true

module UpTack
  module Interchange
    module SchemaExport
      # A record of a table as JSON Schema (2020-12): as the API has it, by the keys of its fields, or as it
      # stands in an exported file, by their labels.
      module JsonSchema
        # What a record can be looked at as.
        SHAPES = %w[record file].freeze

        module_function

        # @param table [Core::Design::Table]
        # @param fields [Array<Core::Design::Field>]
        # @param shape [String] one of SHAPES
        # @return [Hash{String=>Object}]
        def generate(table, fields = table.fields, shape: "record")
          said = Constraints.new(table)
          name = (shape == "file") ? :label.to_proc : :key.to_proc
          {
            "$schema" => "https://json-schema.org/draft/2020-12/schema",
            "title" => table.label,
            "description" => [table.note, *said.rest.map { |rule| rule.sentence(table) }].compact.join("\n"),
            "type" => "object",
            "additionalProperties" => false,
            "properties" =>
              fields.to_h do |field|
                known = (shape == "file") ? field.values.json_schema : field.values.api_schema
                known = {"title" => field.label, **known}
                [name.call(field), property(field, said.find(field.key), known).merge(of_rules(field, table, said))]
              end,
            "required" => fields.select { |field| said.find(field.key).required }.map(&name)
          }
        end

        # What kinds of rule say of a field by themselves.
        def of_rules(field, table, said)
          rules = said.rest.select { |rule| rule.field == field.key && !rule.warning? && !rule.lets_old? }
          rules.map { |rule| written(rule, table).merge(rule.json_schema(table)) }.reduce({}, :merge)
        end

        def written(rule, table)
          expression = rule.text_expression(table, Core::Masks::CharacterClasses::PLAIN)
          expression ? {"pattern" => "^(?:#{expression})$"} : {}
        end

        def property(field, said, shape)
          shape["description"] = [shape["description"], field.note].compact.reject(&:empty?).join(" ")
          shape.delete("description") if shape["description"].empty?
          numbers = ->(value) {
            if value.is_a?(BigDecimal)
              value.frac.zero? ? value.to_i : value.to_f
            else
              field.values.dump(value)
            end
          }
          shape["minimum"] = numbers.call(said.least) if said.least.is_a?(BigDecimal)
          shape["maximum"] = numbers.call(said.greatest) if said.greatest.is_a?(BigDecimal)
          if said.among
            written = [*shape["type"]].include?("string") ? said.among.map { |value| field.values.dump(value) } : []
            shape["enum"] = (written + said.among.map(&numbers)).uniq + (said.required ? [] : [nil])
          end
          shape["minLength"] = said.shortest if said.shortest
          shape["maxLength"] = said.longest if said.longest
          shape["default"] = numbers.call(said.default) unless said.default.nil?
          shape["type"] = [*shape["type"], "null"] unless said.required
          shape
        end
      end
    end
  end
end
