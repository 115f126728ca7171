# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The forms of a table.
      module Forms
        def self.registered(app)
          changes = Core::Design::Changes

          app.post("/api/tables/:table/forms") do
            workspace.table(params[:table])
            change = changes::SaveForm.new(table: params[:table], form: design_parts(*Params::Requests::FORM_PARTS))
            change_design(->(*) { {id: change.id} }, status: 201) { |design| design.call(change) }
          end

          app.put("/api/tables/:table/forms/:form") do
            workspace.table(params[:table])
            change =
              changes::SaveForm.new(table: params[:table],
                form: design_parts(*Params::Requests::FORM_PARTS).merge("id" => params[:form]))
            change_design(->(*) { {id: change.id} }) { |design| design.call(change) }
          end

          app.delete("/api/tables/:table/forms/:form") do
            workspace.table(params[:table])
            change = changes::DeleteForm.new(table: params[:table], id: params[:form])
            change_design { |design| design.call(change) }
          end
        end
      end
    end
  end
end
