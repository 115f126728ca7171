# frozen_string_literal: true

require "json"

module UpTack
  module Core
    module Design
      module ProjectFile
        # Writes JSON that people can read and tools can compare: what fits on a line stands
        # on one, everything else a line each, members always in the same order.
        module Writer
          WIDTH = 110
          # These are lists of records, one a line however short they are.
          ALWAYS_OPEN = %w[tables fields rules forms proofs lists people acts expect sections items].freeze

          module_function

          # @param attributes [Hash]
          # @return [String] ending with a line break
          def text(attributes) = "#{value(attributes, 0, nil)}\n"

          def value(attributes, depth, name)
            container = attributes.is_a?(Hash) || attributes.is_a?(Array)
            return JSON.generate(attributes) if !container || attributes.empty?

            line = short(attributes)
            return line if line.length + (depth * 2) <= WIDTH && !open?(attributes, depth, name)

            attributes.is_a?(Hash) ? object(attributes, depth) : list(attributes, depth)
          end

          def open?(attributes, depth, name) = depth < 2 || (attributes.is_a?(Array) && ALWAYS_OPEN.include?(name))

          def short(attributes)
            case attributes
            when Hash then "{#{attributes.map { |key, each| "#{JSON.generate(key)}: #{short(each)}" }.join(", ")}}"
            when Array then "[#{attributes.map { |each| short(each) }.join(", ")}]"
            else JSON.generate(attributes)
            end
          end

          def object(attributes, depth)
            inner =
              attributes.map do |key, each|
                "#{"  " * (depth + 1)}#{JSON.generate(key)}: #{value(each, depth + 1, key)}"
              end
            "{\n#{inner.join(",\n")}\n#{"  " * depth}}"
          end

          def list(attributes, depth)
            inner = attributes.map { |each| "#{"  " * (depth + 1)}#{value(each, depth + 1, nil)}" }
            "[\n#{inner.join(",\n")}\n#{"  " * depth}]"
          end
        end
      end
    end
  end
end
