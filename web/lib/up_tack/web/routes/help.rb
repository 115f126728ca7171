# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # What the application says of itself.
      module Help
        def self.registered(app)
          app.get("/api/functions") do
            json(Render::Functions.all)
          end

          app.get("/api/openapi.json") { json(Render::Document.all) }
          app.get("/api/openapi.yaml") do
            content_type "application/yaml"
            Render::Document.yaml
          end
        end
      end
    end
  end
end
