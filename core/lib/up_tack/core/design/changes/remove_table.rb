# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Takes a table away, with its fields and rules.
        class RemoveTable < Change
          def initialize(table:)
            @table = table
          end

          def apply(project)
            plain = project.to_plain
            table = plain_table(plain, @table)
            plain["tables"].delete(table)
            @summary = "Table #{table["label"]} deleted"
            Project.from(plain)
          end
        end
      end
    end
  end
end
