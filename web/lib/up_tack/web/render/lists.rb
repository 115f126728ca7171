# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # The project's lists of choices, with the fields that use them.
      module Lists
        module_function

        # @param project [Core::Design::Project]
        # @param visible [Core::Design::Visibility] of whoever asks: lists of hidden fields alone are hidden too
        def render(project, visible)
          project.lists.filter_map do |list|
            users =
              project
                .tables
                .select { |table| visible.table?(table) }
                .flat_map do |table|
                  visible
                    .fields(table)
                    .select { |field| field.list == list.id }
                    .map { |field|
                    {table: table.key, field: field.key,
                     label: Core::Wording["%{field} of %{table}", field: field.label, table: table.label]}
                  }
                end
            {**list.to_h, users: users} if visible.all? || users.any?
          end
        end
      end
    end
  end
end
