# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Signing in and out, and who acts, where and when.
      module Session
        def self.registered(app)
          app.helpers Helpers

          # What somebody sees who is not signed in.
          app.get("/api/welcome") { json(Render::Session.welcome(one_click: Guard::Hosts.own_machine?(request))) }

          app.post("/api/set-up") do
            builder =
              UseCases::People::SetUp.new.call(
                code: sent["code"],
                project: sent["project"],
                time_zone: sent["time_zone"],
                person: texts_sent("name", "sign_in", "email", "password")
              )
            begin_session(builder)
            json(session_json, status: 201)
          end

          app.get("/api/session") { json(session_json) }

          app.post("/api/session") do
            parts = texts_sent("name", "password")
            begin_session(
              counted(parts["name"]) do
                UseCases::People::SignIn.new.call(name: parts["name"], password: parts["password"])
              end
            )
            json(session_json)
          end

          app.post("/api/session/demo") do
            unless Guard::Hosts.own_machine?(request)
              raise UseCases::People::SignIn::Refused,
                Core::Messages["web.session.one_click_works_on_machine_alone_demo"]
            end

            begin_session(UseCases::People::SignIn.new.in_demo(number_sent("person_id")))
            json(session_json)
          end

          app.delete("/api/session") do
            end_session
            status 204
          end

          # The password once more, before what must not be done by whoever finds an open browser.
          app.post("/api/session/confirm") do
            given = texts_sent("password")["password"]
            counted(person.sign_in) do
              unless person.password? && UseCases::People::SignIn.new.right?(person, given)
                raise UseCases::People::SignIn::Wrong, Core::Messages["web.session.is_not_your_password"]
              end
            end
            signed_in.confirm
            status 204
          end

          app.put("/api/session/password") do
            parts = texts_sent("old", "new")
            changed =
              counted(person.sign_in) do
                UseCases::People::ChangePerson.new(by: person).own_password(
                  person,
                  old: parts["old"],
                  new: parts["new"]
                )
              end
            begin_session(changed)
            json(session_json)
          end
        end

        # Used by these routes.
        module Helpers
          # Counts what turns out wrong.
          # @yield looks at a password
          def counted(name)
            Guard::RateLimits.check(name, request)
            yield.tap { Guard::RateLimits.forget(name, request) }
          rescue UseCases::People::SignIn::Refused
            Guard::RateLimits.failed(name, request)
            raise
          rescue UseCases::People::SignIn::Wrong
            Guard::RateLimits.failed(name, request, "password_wrong")
            raise
          end
        end
      end
    end
  end
end
