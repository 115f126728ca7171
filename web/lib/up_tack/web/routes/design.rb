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

          app.post("/api/design/undo") do
            change_design(->(revision) { json({summary: revision&.summary}) }, &:undo)
          end

          app.post("/api/design/redo") do
            change_design(->(revision) { json({summary: revision&.summary}) }, &:redo)
          end

          app.post("/api/design/revisions/:id/put-back") do
            revision = record_id
            change_design(->(found) { json({summary: found.summary}) }) { |design| design.put_back(revision) }
          end
        end
      end
    end
  end
end
