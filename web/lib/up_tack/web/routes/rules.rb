# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The rules pinned on a table.
      module Rules
        PARTS = (%w[id kind field name note] + Core::Rules.all.values.flat_map(&:part_keys)).uniq.freeze

        # Looks at the records.
        module Effect
          # In a process of its own where there are many: nobody who types shares this one with it.
          # @param asked [Hash{Symbol=>Object}] as UseCases::Effects::PreviewRule takes it
          # @yield [UseCases::Effects::PreviewRule::Preview] so far
          # @return [UseCases::Effects::PreviewRule::Preview]
          def effect(asked, &)
            preview = UseCases::Effects::PreviewRule.new(workspace)
            return preview.call(**asked, &) unless preview.many?(asked[:table])

            Work.call("effect", asked, person: person, progress: Progress.none, &)
          end
        end

        def self.registered(app)
          app.helpers Effect
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
              asked = {table: design.key, attributes: parts, look_at: look_at, all: true, most: most}
              line.call(effect(asked, &line))
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
