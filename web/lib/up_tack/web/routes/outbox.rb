# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Notices to people.
      module Outbox
        LATEST = 200

        def self.registered(app)
          app.helpers do
            # Builders see what went to everybody.
            def own_notices = person.builder? ? Store::Notice.all : Store::Notice.where(person_id: person.id)
          end

          app.get("/api/outbox") do
            notices = own_notices.includes(:person).order(id: :desc).limit(LATEST)
            json(notices.map { |notice| Render::Notice.of(notice, workspace) })
          end

          app.put("/api/outbox/:id/read") do
            notice = own_notices.find_by(id: record_id) or raise Store::NotFound, "There is no such notice."
            notice.update!(read_at: workspace.clock.now) unless notice.read_at
            json(Render::Notice.of(notice, workspace))
          end

          # Makes the checks that are due now, without waiting for the schedule.
          app.post("/api/outbox/check") { json({sent: UseCases::SendNotices.new(workspace).call.length}) }
        end
      end
    end
  end
end
