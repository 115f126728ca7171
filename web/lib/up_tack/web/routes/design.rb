# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The design's own history: undo, redo, and back to an earlier state.
      module Design
        LATEST = 100

        def self.registered(app)
          app.get("/api/design/revisions") do
            revisions = Store::Revision.history.order(id: :desc).limit(LATEST)
            json(revisions.map { |revision| Render::Revision.of(revision, workspace) })
          end

          app.post("/api/design/undo") { json({summary: UseCases::ChangeDesign.new(workspace).undo&.summary}) }

          app.post("/api/design/redo") { json({summary: UseCases::ChangeDesign.new(workspace).redo&.summary}) }

          app.post("/api/design/revisions/:id/put-back") do
            json({summary: UseCases::ChangeDesign.new(workspace).put_back(record_id).summary})
          end
        end
      end
    end
  end
end
