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

          # @return [Array<Rules::Rule>] the rules that would go along
          def self.rules_lost(table, key) = table.rules.select { |rule| rule.names(table).include?(key) }

          def apply(project)
            plain = project.to_plain
            table = plain_table(plain, @table)
            field = plain_field(table, @field)
            lost = self.class.rules_lost(project.table(@table), @field).map(&:id)
            table["fields"].delete(field)
            table["rules"].reject! { |rule| lost.include?(rule["id"]) }
            @summary = "Field #{field["label"]} of #{table["label"]} deleted"
            Project.from(plain)
          end
        end
      end
    end
  end
end
