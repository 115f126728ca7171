# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Puts a field at another place in its table.
        class MoveField < Change
          # @param position [Integer] counted from 0
          def initialize(table:, field:, position:)
            @table = table
            @field = field
            @position = position
          end

          def apply(project)
            attributes = project.attributes
            table = table_attributes(attributes, @table)
            fields = table["fields"]
            field = fields.delete(field_attributes(table, @field))
            fields.insert(@position.clamp(0, fields.length), field)
            @summary = "Field #{field["label"]} of #{table["label"]} moved"
            build(project, attributes)
          end
        end
      end
    end
  end
end
