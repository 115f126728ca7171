# frozen_string_literal: true

module UpTack
  module Interchange
    # The kinds of rule as OpenAPI schemas: one for each kind, and RuleParts, which is one of them.
    # Written into the API's document by bin/generate.
    module ApiRules
      # Where they stand in the document.
      FROM = "    # Written by bin/generate, from what the kinds of rule say of themselves: begin\n"
      TO = "    # Written by bin/generate: end\n"

      TEXT = {"type" => "string"}.freeze
      MAYBE = {"type" => %w[string null]}.freeze
      # What rules of all kinds have.
      COMMON = {"id" => MAYBE, "field" => TEXT, "name" => MAYBE, "note" => MAYBE}.freeze
      SCALAR = {"$ref" => "#/components/schemas/Scalar"}.freeze
      STEPS = {"type" => %w[array null], "items" => {"$ref" => "#/components/schemas/TidyStep"}}.freeze

      module_function

      # @param document [String] the API's document, YAML
      # @return [String] with the schemas of today
      def written_into(document)
        before, rest = document.split(FROM, 2)
        _, after = rest.split(TO, 2)
        "#{before}#{FROM}#{YAML.dump(JSON.parse(JSON.generate(schemas))).lines.drop(1).map { |line|
          "    #{line}"
        }.join}#{TO}#{after}"
      end

      # @return [Hash{String=>Hash}] by name
      def schemas
        kinds = Core::Rules.all.values.to_h { |kind| [name(kind), schema(kind)] }
        {"RuleParts" => {"oneOf" => kinds.keys.map { |name| {"$ref" => "#/components/schemas/#{name}"} }}}.merge(kinds)
      end

      def name(kind) = "Rule#{kind.name.split("::").last}"

      def schema(kind)
        {
          "type" => "object",
          "description" => kind.about,
          "required" => %w[kind field],
          "properties" =>
            {"kind" => {"type" => "string", "enum" => [kind.kind]}}
              .merge(COMMON, kind.parts.to_h { |part| [part.key, maybe(part)] })
        }
      end

      def maybe(part)
        return SCALAR if part.type == :value
        return STEPS if part.type == :steps

        shape = part.schema.merge("type" => [part.schema.fetch("type"), "null"])
        shape["description"] = part.options.compact.join(", ") if part.choices.any?
        shape
      end
    end
  end
end
