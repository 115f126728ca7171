# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Takes a list of choices away that no field uses any more.
        class DeleteList < Change
          def initialize(id:)
            @id = id
          end

          def apply(project)
            attributes = project.attributes
            list =
              project.list(@id) || Invalid.because(Messages["design.all.there_is_no_such_list"], part: "id")
            users =
              project.tables.flat_map do |table|
                table.fields.select { |field| field.list == @id }.map { |field| "#{field.label} of #{table.label}" }
              end
            if users.any?
              Invalid.because(
                Messages["design.delete_list.is_used_by", list: list.name, users: users.join(", ")],
                part: "id"
              )
            end

            attributes["lists"].reject! { |each| each["id"] == @id }
            attributes.delete("lists") if attributes["lists"].empty?
            @summary = "List #{list.name} deleted"
            build(project, attributes)
          end
        end
      end
    end
  end
end
