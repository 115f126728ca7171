# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The change log.
      module History
        PAGE = 40

        def self.registered(app)
          app.get("/api/history") do
            table = params[:table].to_s.empty? ? nil : workspace.table(params[:table])
            found = Store::ChangeLog.entries(table: table, record_id: number_in_query("record"), batch: number_in_query("batch"), before: number_in_query("before"), limit: PAGE + 1)
            json({entries: Render::Entry.new(workspace).all(found.first(PAGE)), more: found.length > PAGE})
          end

          app.post("/api/history/batches/:id/undo") do
            batch = record_id
            in_background(->(result) { json({undone: result.undone, left: result.left}) }) { |progress, workspace| UseCases::UndoBatch.new(workspace, progress: progress).call(batch) }
          end
        end
      end
    end
  end
end
