# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Takes a table away, with its fields and rules, and what others worked out from it.
        class RemoveTable < Change
          def initialize(table:)
            @table = table
          end

          def apply(project)
            plain = project.to_plain
            table = plain_table(plain, @table)
            links =
              project.tables.flat_map do |other|
                other
                  .fields
                  .select { |field| other.key != @table && field.target == @table }
                  .map { |field| "#{field.label} of #{other.label}" }
              end
            if links.any?
              Invalid.because(
                "#{links.join(" and ")} #{(links.length == 1) ? "links" : "link"} to #{table["label"]}; " \
                  "delete that first or link it elsewhere.",
                part: "table"
              )
            end
            Dependants.drop(project, plain, table: @table)
            plain["tables"].delete(table)
            @summary = "Table #{table["label"]} deleted"
            build(project, plain)
          end
        end
      end
    end
  end
end
