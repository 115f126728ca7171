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
          # @param parts [Hash{String=>Object}] "label", "type", "decimals", "choices", "note" …, and "renamed":
          #   new names of choices by old ones
          def initialize(table:, field:, parts:)
            @table = table
            @field = field
            @parts = parts
          end

          def apply(project)
            project, renamed = carried(project)
            attributes = project.attributes
            table = table_attributes(attributes, @table)
            field = field_attributes(table, @field)
            @summary = "Field #{field["label"]} of #{table["label"]} changed#{": #{renamed}" if renamed}"
            keep_aliases(field, @parts["aliases"]) if @parts.key?("aliases")
            rename(project, attributes, field, tidy_label(@parts["label"])) if @parts.key?("label")
            before = field.values_at("type", "target")
            AddField::PARTS.each { |part| field[part] = @parts[part] if @parts.key?(part) }
            if before.first == "link" && field.values_at("type", "target") != before
              FormRewriter.turned_elsewhere(attributes, table, field)
            end
            build(project, attributes)
          end

          private

          # @return [Array(Project, String)] with renamed choices, and which they are, where there are any
          def carried(project)
            field = project.table(@table)&.field(@field)
            unless field&.listed? && field.list.nil? && @parts.fetch("type", "choice") == "choice"
              return project, nil
            end

            renamed = renaming(@parts["renamed"], field.choices, @parts["choices"])
            return [project, nil] if renamed.empty?

            project =
              with_renamed(project, RenamedChoices.new([@table, @field] => renamed)) do |attributes|
                retired = field.retired.map { |each| renamed.fetch(each, each) }
                field_attributes(table_attributes(attributes, @table), @field).merge!(
                  "retired" => retired,
                  **@parts.slice("choices", "retired")
                )
              end
            [project, renaming_words(renamed, field.choices)]
          end

          def rename(project, attributes, field, label)
            return if label == field["label"]

            table = project.table(@table)
            @summary = "Field #{field["label"]} of #{table.label} renamed to #{label}"
            key = key_for(label, taken(table_attributes(attributes, @table)["fields"], except: @field), "field")
            Rename.field(project, attributes, table: @table, key: @field, to: key) if key != @field
            rekey(field, key) if key != @field
            field["label"] = label
          end
        end
      end
    end
  end
end
