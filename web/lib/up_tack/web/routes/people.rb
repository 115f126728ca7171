# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The people who work here.
      module People
        PARTS = %w[name sign_in email role active password].freeze

        def self.registered(app)
          app.get("/api/people") { json(Store::Person.order(:id).map { |each| Render::Session.entry(each) }) }

          app.post("/api/people") do
            json(Render::Session.entry(UseCases::People::ChangePerson.new.add(sent.slice(*PARTS))), status: 201)
          end

          app.patch("/api/people/:id") do
            json(Render::Session.entry(UseCases::People::ChangePerson.new.change(record_id, sent.slice(*PARTS))))
          end
        end
      end
    end
  end
end
