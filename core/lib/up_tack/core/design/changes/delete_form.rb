# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Takes a form away; records and rules stay.
        class DeleteForm < Change
          # @param table [String] key
          # @param id [String]
          def initialize(table:, id:)
            @table = table
            @id = id
          end

          def apply(project)
            attributes = project.attributes
            table = table_attributes(attributes, @table)
            form =
              (table["forms"] || []).find { |each| each["id"] == @id } ||
              Invalid.because(Messages["design.all.there_is_no_such_form", table: table["label"]], part: "id")
            table["forms"].delete(form)
            @summary = "Form #{form["name"]} of #{table["label"]} deleted"
            build(project, attributes)
          end
        end
      end
    end
  end
end
