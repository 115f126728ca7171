# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Who is signed in where, what scripts are held to, what the security log tells, and the end of the demo.
      module Security
        def self.registered(app)
          app.helpers Helpers

          app.get("/api/sessions") { json(sessions.all.map { |each| Render::Security.session(each, session_here) }) }

          app.delete("/api/sessions/:id") do
            sessions.stop(record_id)
            status 204
          end

          app.delete("/api/sessions") do
            sessions.stop_others
            status 204
          end

          app.get("/api/security") do
            events = UseCases::People::SecurityLog.page(before: params[:before].to_s[/\A\d+\z/]&.to_i)
            json(events.map { |event| Render::Security.event(event, workspace) })
          end

          app.get("/api/scripts") { json({name_versions: UseCases::People::Scripts.name_versions?}) }

          app.patch("/api/scripts") do
            UseCases::People::Scripts.change(sent["name_versions"] == true, by: person)
            json({name_versions: UseCases::People::Scripts.name_versions?})
          end

          app.post("/api/demo/end") do
            gone = UseCases::People::Demo.stop(by: person)
            json({ended: gone.map { |each| Render::Session.person(each) }})
          end
        end

        # Used by these routes.
        module Helpers
          def sessions = UseCases::People::Sessions.new(person, here: session_here)

          # @return [Integer, nil] number of the session that asks; nil for a script
          def session_here = by_token ? nil : signed_in.id
        end
      end
    end
  end
end
