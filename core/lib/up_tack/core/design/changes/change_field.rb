# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Renames a field, changes its type or what belongs to the type. The key
        # follows a new name, and every rule that uses the field with it.
        class ChangeField < Change
          # @param table [String] key
          # @param field [String] key
          # @param parts [Hash{String=>Object}] "label", "type", "decimals", "choices", "note"
          def initialize(table:, field:, parts:)
            @table = table
            @field = field
            @parts = parts
          end

          def apply(project)
            plain = project.to_plain
            table = plain_table(plain, @table)
            field = plain_field(table, @field)
            @summary = "Field #{field["label"]} of #{table["label"]} changed"
            rename(project, plain, field, tidy_label(@parts["label"])) if @parts.key?("label")
            before = field.values_at("type", "target")
            AddField::PARTS.each { |part| field[part] = @parts[part] if @parts.key?(part) }
            FormParts.turned_elsewhere(plain, table, field) if before.first == "link" && field.values_at("type", "target") != before
            build(project, plain)
          end

          private

          def rename(project, plain, field, label)
            return if label == field["label"]

            table = project.table(@table)
            @summary = "Field #{field["label"]} of #{table.label} renamed to #{label}"
            key = key_for(label, table.fields.map(&:key) - [@field], "field")
            Rename.field(project, plain, table: @table, key: @field, to: key) if key != @field
            field["key"] = key
            field["label"] = label
          end
        end
      end
    end
  end
end
