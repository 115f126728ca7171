# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # What feeds what, over all tables.
      module Map
        def self.registered(app)
          app.get("/api/map") { json(Render::Map.new(workspace).all) }
        end
      end
    end
  end
end
