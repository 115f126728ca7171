# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Who acts, where and when.
      module Session
        def self.registered(app)
          app.get("/api/session") { json(Render::Session.of(workspace)) }

          app.put("/api/session") do
            chosen = Store::Person.find_by(id: number_sent("person_id")) or raise Store::NotFound, "There is no such person."
            response.set_cookie(Requests::PERSON_COOKIE, value: chosen.id.to_s, path: "/", httponly: true, same_site: :strict)
            json(Render::Session.of(Workspace.new(person: chosen)))
          end
        end
      end
    end
  end
end
