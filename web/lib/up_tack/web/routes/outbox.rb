# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Notices to people.
      module Outbox
        def self.registered(app)
          app.get("/api/outbox") do
            json(UseCases::People::Notices.new(workspace).latest.map { |notice|
              Render::Notice.render(notice, workspace)
            })
          end

          app.put("/api/outbox/:id/read") do
            json(Render::Notice.render(UseCases::People::Notices.new(workspace).read(record_id), workspace))
          end

          # Makes the checks that are due now, without waiting for the schedule.
          app.post("/api/outbox/check") { json({sent: UseCases::Maintenance::SendNotices.new(workspace).call.length}) }
        end
      end
    end
  end
end
