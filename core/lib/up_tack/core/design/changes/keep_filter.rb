# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Keeps a filter of a table under a name; one of the same name is replaced.
        class KeepFilter < Change
          # @param table [String] key
          # @param name [String]
          # @param formula [String] a condition
          def initialize(table:, name:, formula:)
            @table = table
            @name = tidy_label(name)
            @formula = formula
          end

          def apply(project)
            plain = project.to_plain
            table = plain_table(plain, @table)
            filters = (table["filters"] ||= [])
            kept = filters.find { |each| each["name"].downcase == @name.to_s.downcase }
            kept ? kept["formula"] = @formula : filters << {"id" => next_id(plain, "q"), "name" => @name, "formula" => @formula}
            @summary = "Filter #{@name} kept in #{table["label"]}"
            build(plain)
          end
        end
      end
    end
  end
end
