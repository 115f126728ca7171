# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Forgets a kept view.
        class DeleteFilter < Change
          # @param table [String] key
          # @param filter [String] id
          def initialize(table:, filter:)
            @table = table
            @filter = filter
          end

          def apply(project)
            attributes = project.attributes
            table = table_attributes(attributes, @table)
            filter =
              table["filters"].to_a.find { |each| each["id"] == @filter } ||
              Invalid.because(Messages["design.delete_filter.there_is_no_such_view"], part: "id")
            table["filters"].delete(filter)
            @summary = "View #{filter["name"]} of #{table["label"]} deleted"
            build(project, attributes)
          end
        end
      end
    end
  end
end
