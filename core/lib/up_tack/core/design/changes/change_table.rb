# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Renames a table or changes its note. Its key follows the new name.
        class ChangeTable < Change
          # @param table [String] key
          # @param parts [Hash{String=>Object}] "label", "one", "note"
          def initialize(table:, parts:)
            @table = table
            @parts = parts
          end

          def apply(project)
            plain = project.to_plain
            table = plain_table(plain, @table)
            @summary = "Table #{table["label"]} changed"
            rename(table, tidy_label(@parts["label"]), project) if @parts.key?("label")
            %w[one note].each { |part| table[part] = presence(tidy_label(@parts[part])) if @parts.key?(part) }
            Project.from(plain)
          end

          private

          def presence(text) = (text == "") ? nil : text

          def rename(table, label, project)
            return if label == table["label"]

            @summary = "Table #{table["label"]} renamed to #{label}"
            table["key"] = key_for(label, project.tables.map(&:key) - [@table], "table")
            table["label"] = label
          end
        end
      end
    end
  end
end
