# frozen_string_literal: true

require "json"
require "json_schemer"

module UpTack
  module Core
    module Design
      module ProjectFile
        # Holds a project file against its Schema and says what is not of the right shape, by the names
        # that people know.
        class SchemaValidator
          # Faults that are told at most.
          MOST = 200
          KINDS = {
            "string" => "a text",
            "integer" => "a whole number",
            "number" => "a number",
            "boolean" => "true or false",
            "null" => "null",
            "object" => "an object",
            "array" => "a list"
          }.freeze
          # What a fault is called, by the part of the schema that found it.
          WORDS = {
            "enum" => ->(error) { "it must be one of #{error["schema"]["enum"].join(", ")}" },
            "const" => ->(error) { "it must be #{error["schema"]["const"]}" },
            "pattern" => ->(_) { "it can't contain line breaks or other control characters" },
            "minimum" => ->(error) { "it must be at least #{error["schema"]["minimum"]}" },
            "maximum" => ->(error) { "it must be at most #{error["schema"]["maximum"]}" },
            "schema" => ->(_) { "nothing of that name belongs here" }
          }.freeze
          # How the library calls a value of the wrong type: by the type, or that there are several.
          TYPES = [*KINDS.keys, "type"].freeze

          # @return [JSONSchemer::Schema]
          def self.schemer = @schemer ||= JSONSchemer.schema(Schema.to_h, regexp_resolver: "ecma")

          # @param attributes [Hash]
          def initialize(attributes)
            @attributes = attributes
            @errors = self.class.schemer.validate(attributes).first(MOST)
          end

          # @return [Array<Core::Problem>]
          def problems = @problems ||= @errors.flat_map { |error| problems_of(error) }

          # @return [Hash, nil] the file without what is not of the right shape, so that the rest can be
          #   looked at too; nil where something is missing
          def without_faults
            return if @errors.any? { |error| error["type"] == "required" }

            copy = Marshal.load(Marshal.dump(@attributes))
            @errors.each do |error|
              *path, last = place(error)
              parent = path.empty? ? copy : copy.dig(*path)
              parent.is_a?(Hash) ? parent.delete(last) : parent[last] = nil
            end
            copy
          rescue TypeError
            nil
          end

          private

          def problems_of(error)
            path = names(place(error))
            missing = error.dig("details", "missing_keys")
            faults = missing ? missing.map { |name| "“#{name}” is missing" } : [what(error)]
            faults.map do |fault|
              Problem.new(
                part: path.last.to_s,
                message: "#{path.empty? ? "The file" : path.join(" › ")}: #{fault}.",
                place: path.join(" › ")
              )
            end
          end

          def what(error)
            return WORDS.fetch(error["type"]).call(error) unless TYPES.include?(error["type"])

            "it must be #{Array(error["schema"]["type"]).map { |kind| KINDS.fetch(kind) }.join(" or ")}"
          end

          # @return [Array<String, Integer>] keys and numbers that lead to what a JSON pointer (RFC 6901) tells
          def place(error)
            value = @attributes
            error["data_pointer"].split("/").drop(1).map do |step|
              step = value.is_a?(Array) ? Integer(step) : step.gsub("~1", "/").gsub("~0", "~")
              value = value[step]
              step
            end
          end

          # @return [Array<String>] the same by the names of what stands in a list
          def names(place)
            value = @attributes
            place.map do |step|
              value = value[step]
              step.is_a?(Integer) ? name(value) || (step + 1).to_s : step
            end
          end

          def name(value) =
            if value.is_a?(Hash)
              value.values_at("key", "name", "id").find { |each| each.is_a?(String) && !each.match?(/[[:cntrl:]]/) }
            end
        end
      end
    end
  end
end
