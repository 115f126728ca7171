# frozen_string_literal: true

module UpTack
  module UseCases
    module Exports
      # What a record of a table is made of, as JSON Schema (2020-12).
      class RecordSchema
        def initialize(workspace)
          @workspace = workspace
        end

        # @param table [String] key
        # @param shape [String] one of Interchange::SchemaExport::JsonSchema::SHAPES
        # @return [Hash] of the fields that whoever asks may see
        # @raise [Store::NotFound]
        def call(table:, shape: "record")
          design = @workspace.table(table)
          Interchange::SchemaExport::JsonSchema.generate(design, @workspace.visibility.fields(design), shape: shape)
        end
      end
    end
  end
end
