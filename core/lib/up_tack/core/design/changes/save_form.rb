# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Makes a form, or changes one.
        class SaveForm < Change
          # @return [String] id of the form
          attr_reader :id

          # @param table [String] key
          # @param form [Hash{String=>Object}] plain; with the id of one that exists it takes its place
          def initialize(table:, form:)
            @table = table
            @form = form
            @id = form["id"]
          end

          def apply(project)
            attributes = project.attributes
            table = table_attributes(attributes, @table)
            forms = (table["forms"] ||= [])
            parts = @form.merge("name" => tidy_label(@form["name"]))
            if @id
              index =
                forms.index { |each| each["id"] == @id } ||
                Invalid.because(Messages["design.all.there_is_no_such_form", table: table["label"]], part: "id")
              forms[index] = parts
              @summary = "Form #{parts["name"]} of #{table["label"]} changed"
            else
              @id = next_id(attributes, "m")
              forms << parts.merge("id" => @id)
              @summary = "Form #{parts["name"]} created for #{table["label"]}"
            end
            build(project, attributes)
          end
        end
      end
    end
  end
end
