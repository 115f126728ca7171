# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # What the application says of itself.
      module Help
        def self.registered(app)
          app.get("/api/functions") do
            json(Core::Expression::Functions.all.values.map do |function|
              {name: function.name, group: function.group, signature: function.signature, help: function.help, example: function.example, result: function.example_result}
            end)
          end

          app.get("/api/openapi.yaml") { send_file File.join(App::ROOT, "web", "openapi.yaml"), type: "application/yaml" }
        end
      end
    end
  end
end
