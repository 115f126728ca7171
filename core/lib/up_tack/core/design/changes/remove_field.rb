# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Takes a field away, and with it every rule that names it.
        class RemoveField < Change
          def initialize(table:, field:)
            @table = table
            @field = field
          end

          def apply(project)
            attributes = project.attributes
            table = table_attributes(attributes, @table)
            field = field_attributes(table, @field)
            Dependants.drop(project, attributes, table: @table, key: @field)
            table["fields"].delete(field)
            table.delete("title") if table["title"] == @field
            @summary = "Field #{field["label"]} of #{table["label"]} deleted"
            build(project, attributes)
          end
        end
      end
    end
  end
end
