# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Auto-numbers: where their counts stand, and records that lack theirs.
      module Numbers
        def self.registered(app)
          app.get("/api/tables/:table/rules/:rule/counts") do
            table = workspace.table(params[:table])
            counts = UseCases::Numbers::Counts.new(table, UseCases::Numbers.rule(table, params[:rule]))
            json({counts: counts.all.map(&:to_h), warning: counts.warning})
          end

          app.put("/api/tables/:table/rules/:rule/counts") do
            table = workspace.table(params[:table])
            counts = UseCases::Numbers::Counts.new(table, UseCases::Numbers.rule(table, params[:rule]))
            counts.set(texts_sent("series").fetch("series", ""), number_sent("next"))
            json({counts: counts.all.map(&:to_h), warning: counts.warning})
          end

          app.get("/api/tables/:table/rules/:rule/waiting") do
            found =
              UseCases::Numbers::Give.new(workspace).foresee(
                table: params[:table],
                rule: params[:rule],
                order: Numbers.order_in(params),
                descending: params[:descending] == "true"
              )
            json(found.to_h)
          end

          app.post("/api/tables/:table/rules/:rule/waiting") do
            wish = {
              table: params[:table],
              rule: params[:rule],
              order: Numbers.order_in(sent),
              descending: sent["descending"] == true
            }
            present = ->(result, _) do
              {given: result.given, left: result.left, refused: result.refused, batch: result.batch&.id}
            end
            work_apart("numbers", wish, present)
          end
        end

        # Put in order by the key of a field, or not at all.
        def self.order_in(given) = given["order"].to_s.empty? ? nil : given["order"].to_s
      end
    end
  end
end
