# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # The project's lists of choices, with the fields that use them.
      module Lists
        module_function

        # @param project [Core::Design::Project]
        def of(project)
          project.lists.map do |list|
            users = project.tables.flat_map { |table| table.fields.select { |field| field.list == list.id }.map { |field| {table: table.key, field: field.key, label: "#{field.label} of #{table.label}"} } }
            {**list.to_h, users: users}
          end
        end
      end
    end
  end
end
