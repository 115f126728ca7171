# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The rules pinned on a table.
      module Rules
        PARTS = %w[id kind field name note value formula message].freeze

        def self.registered(app)
          changes = Core::Design::Changes

          app.post("/api/tables/:table/rules") do
            workspace.table(params[:table])
            UseCases::ChangeDesign.new(workspace).call(changes::PinRule.new(table: params[:table], rule: design_parts(*PARTS - ["id"])))
            table_json(params[:table], status: 201)
          end

          app.post("/api/tables/:table/rules/preview") do
            json(Render::Preview.of(UseCases::PreviewRule.new(workspace).call(table: params[:table], plain: design_parts(*PARTS))))
          end

          app.put("/api/tables/:table/rules/:rule") do
            UseCases::FindRule.new(workspace).call(table: params[:table], rule: params[:rule])
            change = changes::PinRule.new(table: params[:table], rule: design_parts(*PARTS).merge("id" => params[:rule]))
            UseCases::ChangeDesign.new(workspace).call(change)
            table_json(params[:table])
          end

          app.delete("/api/tables/:table/rules/:rule") do
            UseCases::FindRule.new(workspace).call(table: params[:table], rule: params[:rule])
            UseCases::ChangeDesign.new(workspace).call(changes::UnpinRule.new(table: params[:table], rule: params[:rule]))
            table_json(params[:table])
          end
        end
      end
    end
  end
end
