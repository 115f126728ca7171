# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The rules pinned on a table.
      module Rules
        PARTS = (%w[id kind field name note] + Core::Rules.all.values.flat_map(&:part_keys)).uniq.freeze

        def self.registered(app)
          changes = Core::Design::Changes

          app.post("/api/tables/:table/rules") do
            workspace.table(params[:table])
            change =
              changes::PinRule.new(
                table: params[:table],
                rule: design_parts(*PARTS - ["id"]),
                records: workspace.context.records
              )
            change_design(whole_table(params[:table]), status: 201) { |design| design.call(change) }
          end

          app.post("/api/tables/:table/rules/preview") do
            preview =
              UseCases::Effects::PreviewRule.new(workspace).call(
                table: params[:table],
                attributes: design_parts(*PARTS),
                look_at: number_sent("look_at"),
                all: sent["all"] == true
              )
            json(Render::Preview.render(preview, workspace.table(params[:table]), workspace))
          end

          # The same, line by line as it comes: each line is a Preview with more looked at.
          app.post("/api/tables/:table/rules/effect") do
            parts = design_parts(*PARTS)
            look_at = number_sent("look_at")
            most = number_sent("most") || UseCases::Effects::PreviewRule::EXAMPLES
            design = workspace.table(params[:table])
            workspace.person
            content_type "application/x-ndjson"
            stream do |out|
              line = ->(preview) { out << "#{JSON.generate(Render::Preview.render(preview, design, workspace))}\n" }
              line.call(
                UseCases::Effects::PreviewRule.new(workspace).call(
                  table: params[:table],
                  attributes: parts,
                  look_at: look_at,
                  all: true,
                  most: most,
                  &line
                )
              )
            ensure
              ActiveRecord::Base.connection_handler.clear_active_connections!
            end
          end

          app.get("/api/tables/:table/rules/open") do
            json(UseCases::Effects::CountExempt.new(workspace).call(table: params[:table]))
          end

          app.put("/api/tables/:table/rules/:rule") do
            workspace.rule(params[:table], params[:rule])
            change =
              changes::PinRule.new(
                table: params[:table],
                rule: design_parts(*PARTS).merge("id" => params[:rule]),
                records: workspace.context.records
              )
            change_design(whole_table(params[:table])) { |design| design.call(change) }
          end

          app.delete("/api/tables/:table/rules/:rule") do
            workspace.rule(params[:table], params[:rule])
            change = changes::UnpinRule.new(table: params[:table], rule: params[:rule])
            change_design(whole_table(params[:table])) { |design| design.call(change) }
          end
        end
      end
    end
  end
end
