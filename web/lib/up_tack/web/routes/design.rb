# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The design's own history: undo, redo, and back to an earlier state.
      module Design
        def self.registered(app)
          app.get("/api/design/revisions") do
            revisions =
              UseCases::Design::Revisions.new(workspace).page(
                before: number_in_query("before"),
                person: number_in_query("person")
              )
            json(revisions.map { |revision| Render::Revision.render(revision, workspace) })
          end

          app.get("/api/design/revisions/:id/differences") do
            json(Render::Revision.differences(UseCases::Design::Revisions.new(workspace).differences(record_id)))
          end

          app.get("/api/design/revisions/:id/foresight") do
            found = UseCases::Design::Revisions.new(workspace).foresee(record_id)
            json({differences: Render::Revision.differences(found.differences), losses: found.losses})
          end

          app.post("/api/design/undo") do
            change_design(->(revision, _) { {summary: revision&.summary} }, &:undo)
          end

          app.post("/api/design/redo") do
            change_design(->(revision, _) { {summary: revision&.summary} }, &:redo)
          end

          app.post("/api/design/revisions/:id/put-back") do
            revision = record_id
            change_design(->(found, _) { {summary: found.summary} }) { |design| design.put_back(revision) }
          end

          app.post("/api/design/revisions/:id/rules/:rule/put-back") do
            change = UseCases::Design::Revisions.new(workspace).rule_before(record_id, params[:rule])
            change_design(->(*) { {summary: change.summary} }) { |design| design.call(change) }
          end
        end
      end
    end
  end
end
