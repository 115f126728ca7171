# frozen_string_literal: true

module UpTack
  module Core
    module Design
      # A list of choices that the project keeps for several fields.
      # id:: stays the same through renaming, such as "l12"
      # values:: in their order, retired ones included
      # retired:: those that old records keep and new ones can't have
      ChoiceList =
        Struct.new(:id, :name, :values, :retired, keyword_init: true) do
          # @param attributes [Hash{String=>Object}] from a design
          def self.from(attributes)
            new(
              id: attributes["id"],
              name: attributes["name"],
              values: (attributes["values"] || []).freeze,
              retired: (attributes["retired"] || []).freeze
            ).freeze
          end

          # @return [Hash{String=>Object}]
          def attributes = {"id" => id, "name" => name, "values" => values.dup, "retired" => retired.dup}
        end
    end
  end
end
