# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Tables as a whole.
      module Tables
        def self.registered(app)
          changes = Core::Design::Changes

          app.get("/api/tables") do
            json(
              workspace
                .project
                .tables
                .select { |table| table.allows?(person.role, :see) }
                .map { |table| Render::Table.new(workspace).line(table) }
            )
          end

          app.post("/api/tables") do
            parts = design_parts("label", "one", "key")
            change = changes::AddTable.new(label: parts["label"], one: parts["one"], key: parts["key"])
            made = whole_table { |project| project.tables.last.key }
            change_design(made, status: 201) { |design| design.call(change) }
          end

          app.get("/api/tables/:table") { table_json(params[:table]) }

          app.patch("/api/tables/:table") do
            id = workspace.table(params[:table]).id
            change =
              changes::ChangeTable.new(
                table: params[:table],
                parts: design_parts("label", "one", "note", "title", "review", "log", "access", "aliases")
              )
            changed = whole_table { |project| project.tables.find { |table| table.id == id }.key }
            change_design(changed) { |design| design.call(change) }
          end

          app.get("/api/tables/:table/losses") do
            json({rules: UseCases::Design::PreviewLosses.new(workspace).of_table(params[:table])})
          end

          app.delete("/api/tables/:table") do
            workspace.table(params[:table])
            change = changes::RemoveTable.new(table: params[:table])
            change_design { |design| design.call(change) }
          end
        end
      end
    end
  end
end
