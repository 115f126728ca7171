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

          # @return [Array<Array(Table, Rules::Rule)>] the rules, of any table, that would go along
          def self.rules_lost(project, table, key)
            project.tables.flat_map do |design|
              design.rules.select { |rule| uses?(rule, design, table, key) }.map { |rule| [design, rule] }
            end
          end

          def self.uses?(rule, design, table, key)
            (design.key == table && rule.field == key) || rule.references(design).any? { |each| each.table == table && each.key == key }
          end

          def apply(project)
            plain = project.to_plain
            table = plain_table(plain, @table)
            field = plain_field(table, @field)
            lost = self.class.rules_lost(project, @table, @field).map { |_, rule| rule.id }
            table["fields"].delete(field)
            table.delete("title") if table["title"] == @field
            plain["tables"].each { |each| each["rules"].reject! { |rule| lost.include?(rule["id"]) } }
            drop_filters(project, plain)
            @summary = "Field #{field["label"]} of #{table["label"]} deleted"
            Project.from(plain)
          end

          private

          def drop_filters(project, plain)
            project.tables.zip(plain["tables"]) do |design, table|
              lost = design.filters.select { |filter| filter.compiled(design).references.any? { |each| each.table == @table && each.key == @field } }
              table["filters"]&.reject! { |filter| lost.any? { |each| each.id == filter["id"] } }
            end
          end
        end
      end
    end
  end
end
