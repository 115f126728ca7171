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
            attributes = project.attributes
            table = table_attributes(attributes, @table)
            links =
              project.tables.flat_map do |other|
                other
                  .fields
                  .select { |field| other.key != @table && field.target == @table }
                  .map { |field| "#{field.label} of #{other.label}" }
              end
            if links.any?
              Invalid.because(
                Messages[
                  "design.remove_table.delete_first_or_link_it_elsewhere",
                  count: links.length,
                  links: links.join(" and "),
                  table: table["label"]
                ],
                part: "table"
              )
            end
            Dependants.drop(project, attributes, table: @table)
            attributes["tables"].delete(table)
            @summary = "Table #{table["label"]} deleted"
            build(project, attributes)
          end
        end
      end
    end
  end
end
