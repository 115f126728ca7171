# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The people who work here.
      module People
        PARTS = %w[name sign_in email role active password].freeze

        # @param token [Store::Token]
        # @return [Hash]
        def self.token(token)
          {
            id: token.id,
            person: Render::Session.person(token.person),
            name: token.name,
            role: token.role,
            made_at: token.made_at.getutc.iso8601,
            ends_at: token.ends_at.getutc.iso8601,
            seen_at: token.seen_at&.getutc&.iso8601,
            over: token.ends_at <= Time.now.utc
          }
        end

        def self.registered(app)
          app.get("/api/people") { json(UseCases::People::Directory.all.map { |each| Render::Session.entry(each) }) }

          app.post("/api/people") do
            json(
              Render::Session.entry(UseCases::People::ChangePerson.new(by: person).add(sent.slice(*PARTS))),
              status: 201
            )
          end

          app.post("/api/people/:id/anonymise") do
            json(Render::Session.entry(UseCases::People::MakeAnonymous.new(by: person).call(record_id)))
          end

          # Tokens for scripts: of whoever is signed in, and for builders of all.
          app.get("/api/tokens") do
            json(UseCases::People::Tokens.new(person).all.map { |token| Routes::People.token(token) })
          end

          app.post("/api/tokens") do
            token, text =
              UseCases::People::Tokens.new(person).make(name: sent["name"], role: sent["role"], days: sent["days"])
            json({**Routes::People.token(token), token: text}, status: 201)
          end

          app.delete("/api/tokens/:id") do
            UseCases::People::Tokens.new(person).revoke(record_id)
            status 204
          end

          app.patch("/api/people/:id") do
            json(
              Render::Session.entry(
                UseCases::People::ChangePerson.new(by: person).change(record_id, sent.slice(*PARTS))
              )
            )
          end
        end
      end
    end
  end
end
