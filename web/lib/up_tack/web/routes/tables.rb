# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Tables as a whole.
      module Tables
        def self.registered(app)
          changes = Core::Design::Changes

          app.get("/api/tables") { json(workspace.project.tables.map { |table| Render::Table.new(workspace).line(table) }) }

          app.post("/api/tables") do
            parts = design_parts("label", "one", "key")
            project = UseCases::ChangeDesign.new(workspace).call(changes::AddTable.new(label: parts["label"], one: parts["one"], key: parts["key"]))
            table_json(project.tables.last.key, status: 201)
          end

          app.get("/api/tables/:table") { table_json(params[:table]) }

          app.patch("/api/tables/:table") do
            id = workspace.table(params[:table]).id
            project = UseCases::ChangeDesign.new(workspace).call(changes::ChangeTable.new(table: params[:table], parts: design_parts("label", "one", "note")))
            table_json(project.tables.find { |table| table.id == id }.key)
          end

          app.delete("/api/tables/:table") do
            workspace.table(params[:table])
            UseCases::ChangeDesign.new(workspace).call(changes::RemoveTable.new(table: params[:table]))
            status 204
          end
        end
      end
    end
  end
end
