# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Renames a table or changes its note. Its key follows the new name.
        class ChangeTable < Change
          # @param table [String] key
          # @param parts [Hash{String=>Object}] "label", "one", "note", "title", "review", "log", "access",
          #   "aliases"
          def initialize(table:, parts:)
            @table = table
            @parts = parts
          end

          def apply(project)
            attributes = project.attributes
            table = table_attributes(attributes, @table)
            @summary = "Table #{table["label"]} changed"
            keep_aliases(table, @parts["aliases"]) if @parts.key?("aliases")
            rename(attributes, table, tidy_label(@parts["label"]), project) if @parts.key?("label")
            %w[one note].each { |part| table[part] = presence(tidy_label(@parts[part])) if @parts.key?(part) }
            %w[title review log access].each { |part| table[part] = @parts[part] if @parts.key?(part) }
            build(project, attributes)
          end

          private

          def presence(text) = (text == "") ? nil : text

          def rename(attributes, table, label, project)
            return if label == table["label"]

            @summary = "Table #{table["label"]} renamed to #{label}"
            key = key_for(label, taken(attributes["tables"], except: @table), "table")
            Rename.table(project, attributes, key: @table, to: key) if key != @table
            rekey(table, key) if key != @table
            table["label"] = label
          end
        end
      end
    end
  end
end
