# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Keeps a view of a table's records under a name; one of the same name is replaced.
        class SaveFilter < Change
          # @param table [String] key
          # @param name [String]
          # @param formula [String] a condition, empty for none
          # @param sort [String, nil] and columns: as Filter has them
          def initialize(table:, name:, formula:, sort: nil, columns: nil)
            @table = table
            @name = tidy_label(name)
            @parts = {"formula" => formula, "sort" => sort, "columns" => columns}.compact
          end

          def apply(project)
            attributes = project.attributes
            table = table_attributes(attributes, @table)
            filters = (table["filters"] ||= [])
            kept = filters.find { |each| each["name"].downcase == @name.to_s.downcase }
            filters[filters.index(kept) || filters.length] = {
              "id" => kept ? kept["id"] : next_id(attributes, "q"),
              "name" => kept ? kept["name"] : @name,
              **@parts
            }
            @summary = "View #{@name} saved in #{table["label"]}"
            build(project, attributes)
          end
        end
      end
    end
  end
end
