# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module ProjectFile
        # Holds a project file against its Schema and says what is not of the right shape, by
        # the names that people know: a small reading of JSON Schema, as far as the schema
        # uses it.
        class Shape
          MOST = 200
          KINDS = {
            "string" => [String],
            "integer" => [Integer],
            "number" => [Integer, Float, BigDecimal],
            "boolean" => [TrueClass, FalseClass],
            "null" => [NilClass],
            "object" => [Hash],
            "array" => [Array]
          }.freeze
          WORDS = {
            "string" => "a text",
            "integer" => "a whole number",
            "number" => "a number",
            "boolean" => "true or false",
            "null" => "null",
            "object" => "an object",
            "array" => "a list"
          }.freeze

          # @param plain [Hash]
          # @return [Shape] that has been over it
          def self.of(plain)
            schema = (@schema ||= Schema.to_h)
            new(schema).tap { |shape| shape.check(plain, schema, [], []) }
          end

          # @return [Array<Core::Problem>]
          attr_reader :problems

          def initialize(schema)
            @definitions = schema.fetch("$defs")
            @problems = []
            @places = []
          end

          # @param plain [Hash] as it was looked at
          # @return [Hash, nil] the same without what is not of the right shape, so that the
          #   rest can be looked at too; nil where something is missing
          def mended(plain)
            return if @places.include?(nil)

            copy = Marshal.load(Marshal.dump(plain))
            @places.each do |*way, last|
              parent = way.empty? ? copy : copy.dig(*way)
              parent.is_a?(Hash) ? parent.delete(last) : parent[last] = nil
            end
            copy
          rescue TypeError
            nil
          end

          # @param way [Array<String>] where it is, in names; place, in keys and numbers
          def check(value, schema, way, place)
            schema = @definitions.fetch(schema["$ref"].split("/").last) if schema["$ref"]
            return if @problems.length >= MOST
            return unless kind?(value, schema, way, place)

            if schema["enum"] && !schema["enum"].include?(value)
              told(way, place, "it must be one of #{schema["enum"].join(", ")}")
            end
            if schema["pattern"] && value.is_a?(String) && !value.match?(pattern(schema["pattern"]))
              told(way, place, "it can't hold line breaks or other control characters")
            end
            object(value, schema, way, place) if value.is_a?(Hash)
            list(value, schema, way, place) if value.is_a?(Array)
          end

          private

          def kind?(value, schema, way, place)
            kinds = Array(schema["type"])
            return true if kinds.empty? || kinds.any? { |kind| KINDS.fetch(kind).any? { |each| value.is_a?(each) } }

            told(way, place, "it must be #{kinds.map { |kind| WORDS.fetch(kind) }.join(" or ")}")
            false
          end

          # JSON Schema's anchors (ECMA-262) are those of the whole text.
          def pattern(text) = (@patterns ||= {})[text] ||= Regexp.new(text.sub(/\A\^/, "\\A").sub(/\$\z/, "\\z"))

          def object(value, schema, way, place)
            (schema["required"] || []).each { |name| told(way, nil, "“#{name}” is missing") unless value.key?(name) }
            (schema["allOf"] || []).each do |each|
              if each["if"]["properties"].all? { |name, wish| value[name] == wish["const"] }
                object(value, each["then"], way, place)
              end
            end
            known = schema["properties"] || {}
            value.each do |name, each|
              next check(each, known[name], [*way, name], [*place, name]) if known.key?(name)

              if schema["additionalProperties"] == false
                told([*way, name], [*place, name], "nothing of that name belongs here")
              end
              if schema["additionalProperties"].is_a?(Hash)
                check(each, schema["additionalProperties"], [*way, name], [*place, name])
              end
            end
          end

          def list(value, schema, way, place)
            return unless schema["items"]

            value.each_with_index do |each, index|
              check(each, schema["items"], [*way, named(each) || (index + 1).to_s], [*place, index])
            end
          end

          def named(value) =
            if value.is_a?(Hash)
              value.values_at("key", "name", "id").find { |each| each.is_a?(String) && !each.match?(/[[:cntrl:]]/) }
            end

          def told(way, place, what)
            @places << place
            @problems << Problem.new(
              part: way.last.to_s,
              message: "#{way.empty? ? "The file" : way.join(" › ")}: #{what}.",
              place: way.join(" › ")
            )
          end
        end
      end
    end
  end
end
