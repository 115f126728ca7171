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
            plain = project.to_plain
            table = plain_table(plain, @table)
            field = plain_field(table, @field)
            Dependants.drop(project, plain, table: @table, key: @field)
            table["fields"].delete(field)
            table.delete("title") if table["title"] == @field
            @summary = "Field #{field["label"]} of #{table["label"]} deleted"
            build(project, plain)
          end
        end
      end
    end
  end
end
