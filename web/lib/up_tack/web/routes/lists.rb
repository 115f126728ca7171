# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Lists of choices that several fields use.
      module Lists
        # Ways from what is sent to changes.
        module Helpers
          def list_sent
            parts = design_parts("name", "values", "retired", "renamed")
            Core::Design::Changes::SaveList.new(
              id: params[:list],
              name: parts["name"],
              values: parts["values"],
              retired: parts["retired"] || [],
              renamed: parts["renamed"]
            )
          end

          # @return [Proc] tells all lists as they are after a change
          def all_lists = ->(_, workspace) { Render::Lists.render(workspace.project, workspace.visibility) }
        end

        def self.registered(app)
          app.helpers Helpers
          changes = Core::Design::Changes

          app.get("/api/lists") { json(Render::Lists.render(workspace.project, workspace.visibility)) }

          app.post("/api/lists") do
            parts = design_parts("name", "values", "retired")
            change =
              changes::SaveList.new(name: parts["name"], values: parts["values"], retired: parts["retired"] || [])
            change_design(all_lists, status: 201) { |design| design.call(change) }
          end

          app.put("/api/lists/:list") do
            change = list_sent
            change_design(all_lists) { |design| design.call(change) }
          end

          app.post("/api/lists/:list/preview") do
            json(Render::Choices.foreseen(UseCases::Design::PreviewChoices.new(workspace).call(list_sent)))
          end

          app.delete("/api/lists/:list") do
            change = changes::DeleteList.new(id: params[:list])
            change_design(all_lists) { |design| design.call(change) }
          end
        end
      end
    end
  end
end
