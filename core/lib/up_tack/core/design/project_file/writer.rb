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

          # @param plain [Hash]
          # @return [String] ending with a line break
          def text(plain) = "#{value(plain, 0, nil)}\n"

          def value(plain, depth, name)
            container = plain.is_a?(Hash) || plain.is_a?(Array)
            return JSON.generate(plain) if !container || plain.empty?

            line = short(plain)
            return line if line.length + (depth * 2) <= WIDTH && !open?(plain, depth, name)

            plain.is_a?(Hash) ? object(plain, depth) : list(plain, depth)
          end

          def open?(plain, depth, name) = depth < 2 || (plain.is_a?(Array) && ALWAYS_OPEN.include?(name))

          def short(plain)
            case plain
            when Hash then "{#{plain.map { |key, each| "#{JSON.generate(key)}: #{short(each)}" }.join(", ")}}"
            when Array then "[#{plain.map { |each| short(each) }.join(", ")}]"
            else JSON.generate(plain)
            end
          end

          def object(plain, depth)
            inner =
              plain.map { |key, each| "#{"  " * (depth + 1)}#{JSON.generate(key)}: #{value(each, depth + 1, key)}" }
            "{\n#{inner.join(",\n")}\n#{"  " * depth}}"
          end

          def list(plain, depth)
            inner = plain.map { |each| "#{"  " * (depth + 1)}#{value(each, depth + 1, nil)}" }
            "[\n#{inner.join(",\n")}\n#{"  " * depth}]"
          end
        end
      end
    end
  end
end
