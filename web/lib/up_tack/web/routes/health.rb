# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # For whatever watches over the program: whether it is alive, and whether it can work. They tell nothing else,
      # so nobody need be signed in.
      module Health
        def self.registered(app)
          app.get("/health") do
            cache_control :no_store
            json({alive: true})
          end

          app.get("/ready") do
            cache_control :no_store
            found = UseCases::Maintenance::Readiness.new(Schedule).call
            ready = found.values.all?
            json({ready: ready, checks: found}, status: ready ? 200 : 503)
          end
        end
      end
    end
  end
end
