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
          # @param plain [Hash{String=>Object}] from a design
          def self.from(plain)
            new(
              id: plain["id"],
              name: plain["name"],
              values: (plain["values"] || []).freeze,
              retired: (plain["retired"] || []).freeze
            ).freeze
          end

          # @return [Hash{String=>Object}]
          def to_plain = {"id" => id, "name" => name, "values" => values.dup, "retired" => retired.dup}
        end
    end
  end
end
