# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The review of what clean-ups suggest.
      module Tidy
        PAGE = 100

        def self.registered(app)
          app.get("/api/tables/:table/suggestions") do
            table = workspace.table(params[:table])
            suggestions = UseCases::Tidying::Suggestions.new(workspace, table)
            page, count = suggestions.page(offset: number_in_query("offset") || 0, limit: PAGE)
            lines =
              page.map do |each|
                {
                  id: each.id,
                  title: each.title,
                  field: each.field.key,
                  label: each.field.label,
                  before: each.before,
                  after: each.after.to_s
                }
              end
            json(
              {
                suggestions: lines,
                count: count,
                rules: suggestions.any_rules?,
                ignored: UseCases::Tidying::Ignore.new(workspace).count(table: table.key)
              }
            )
          end

          app.post("/api/tables/:table/suggestions/accept") do
            table = workspace.table(params[:table]).key
            chosen = picked
            present = ->(result, _) do
              {saved: result.saved, left: result.left, refused: result.refused, batch: result.batch&.id}
            end
            work_apart("tidy", {table: table, picked: chosen}, present, many: chosen&.length)
          end

          app.post("/api/tables/:table/suggestions/ignore") do
            json({ignored: UseCases::Tidying::Ignore.new(workspace).call(table: params[:table], picked: picked)})
          end

          app.delete("/api/tables/:table/suggestions/ignored") do
            json({ignored: UseCases::Tidying::Ignore.new(workspace).forget(table: params[:table])})
          end
        end
      end
    end
  end
end
