# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Signing in and out, and who acts, where and when.
      module Session
        def self.registered(app)
          # What somebody sees who is not signed in.
          app.get("/api/welcome") { json(Render::Session.welcome) }

          app.post("/api/set-up") do
            builder = UseCases::People::SetUp.new.call(project: sent["project"], time_zone: sent["time_zone"], person: texts_sent("name", "sign_in", "email", "password"))
            begin_session(builder)
            json(session_json, status: 201)
          end

          app.get("/api/session") { json(session_json) }

          app.post("/api/session") do
            parts = texts_sent("name", "password")
            Guard::Attempts.count(parts["name"])
            begin_session(UseCases::People::SignIn.new.call(name: parts["name"], password: parts["password"]))
            Guard::Attempts.forget(parts["name"])
            json(session_json)
          end

          app.post("/api/session/demo") do
            begin_session(UseCases::People::SignIn.new.in_demo(number_sent("person_id")))
            json(session_json)
          end

          app.delete("/api/session") do
            end_session
            status 204
          end

          app.put("/api/session/password") do
            parts = texts_sent("old", "new")
            changed = UseCases::People::ChangePerson.new.own_password(person, old: parts["old"], new: parts["new"])
            begin_session(changed)
            json(session_json)
          end
        end
      end
    end
  end
end
