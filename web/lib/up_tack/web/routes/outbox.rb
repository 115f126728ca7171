# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Notices to people.
      module Outbox
        LATEST = 200

        # Builders see what went to everybody.
        def self.of(person) = person.builder? ? Store::Notice.all : Store::Notice.where(person_id: person.id)

        def self.registered(app)
          app.get("/api/outbox") do
            notices = Outbox.of(person).includes(:person).order(id: :desc).limit(LATEST)
            json(notices.map { |notice| Render::Notice.of(notice, workspace) })
          end

          app.put("/api/outbox/:id/read") do
            notice = Outbox.of(person).find_by(id: record_id) or raise Store::NotFound, "There is no such notice."
            workspace.write { notice.update!(read_at: workspace.clock.now) } unless notice.read_at
            json(Render::Notice.of(notice, workspace))
          end

          # Makes the checks that are due now, without waiting for the schedule.
          app.post("/api/outbox/check") { json({sent: UseCases::Maintenance::SendNotices.new(workspace).call.length}) }
        end
      end
    end
  end
end
