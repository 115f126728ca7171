# frozen_string_literal: true

module UpTack
  module Interchange
    module SchemaExport
      # A record of a table as JSON Schema (2020-12): what it looks like in JSON exports.
      module JsonSchema
        module_function

        # @param table [Core::Design::Table]
        # @param fields [Array<Core::Design::Field>]
        # @return [Hash{String=>Object}]
        def generate(table, fields = table.fields)
          said = Constraints.new(table)
          {
            "$schema" => "https://json-schema.org/draft/2020-12/schema",
            "title" => table.label,
            "description" => [table.note, *said.rest.map { |rule| rule.sentence(table) }].compact.join("\n"),
            "type" => "object",
            "additionalProperties" => false,
            "properties" =>
              fields.to_h { |field|
                [field.label, property(field, said.find(field.key)).merge(of_rules(field, table, said))]
              },
            "required" => fields.select { |field| said.find(field.key).required }.map(&:label)
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

        def property(field, said)
          shape = field.values.json_schema
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
          shape["enum"] = said.among.map { |value| numbers.call(value) } + (said.required ? [] : [nil]) if said.among
          shape["minLength"] = said.shortest if said.shortest
          shape["maxLength"] = said.longest if said.longest
          shape["default"] = numbers.call(said.default) unless said.default.nil?
          shape["type"] = [shape["type"], "null"] unless said.required
          shape
        end
      end
    end
  end
end
