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

          app.get("/api/openapi.json") { json(YAML.load_file(Installation.path("web", "openapi.yaml"))) }
          app.get("/api/openapi.yaml") do
            send_file Installation.path("web", "openapi.yaml"), type: "application/yaml"
          end
        end
      end
    end
  end
end
