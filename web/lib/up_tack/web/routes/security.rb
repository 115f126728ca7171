# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Who is signed in where, and what the security log tells.
      module Security
        # Events of a page.
        PAGE = 50

        def self.registered(app)
          app.helpers Helpers

          app.get("/api/sessions") { json(sessions.map { |each| Render::Security.session(each, signed_in_here) }) }

          app.delete("/api/sessions/:id") do
            found = sessions.find { |each| each.id == record_id } or raise Store::NotFound, "There is no such session; it may have ended."
            end_that(found)
            status 204
          end

          # All but this one.
          app.delete("/api/sessions") do
            sessions.select { |each| each.person_id == person.id && each.id != signed_in_here }.each { |each| end_that(each) }
            status 204
          end

          app.get("/api/security") do
            Store::Event.settle
            before = params[:before].to_s[/\A\d+\z/]&.to_i
            scope = Store::Event.where.not(kind: Store::Event::SILENT).order(id: :desc).limit(PAGE)
            scope = scope.where("id < ?", before) if before
            json(scope.map { |event| Render::Security.event(event, workspace) })
          end

          app.post("/api/demo/end") do
            gone = UseCases::People::Demo.stop(by: person)
            json({ended: gone.map { |each| Render::Session.person(each) }})
          end
        end

        # Used by these routes.
        module Helpers
          # @return [Array<Store::Session>] everybody's own; of all for builders
          def sessions
            all = Store::Session.going.includes(:person).order(seen_at: :desc)
            (person.builder? ? all : all.where(person_id: person.id)).to_a
          end

          def signed_in_here = by_token ? nil : signed_in.id

          def end_that(session)
            Store::Database.write { session.delete }
            Store::Event.add("session_ended", {"whose" => session.person_id, "device" => session.device}, person: person)
          end
        end
      end
    end
  end
end
