# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # For whatever watches over the program: whether it is alive, whether it can work, and its figures. They tell
      # nothing of the firm's, so nobody need be signed in.
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

          # For whoever has the token of UP_TACK_METRICS, or asks from this machine where there is none.
          app.get("/metrics") do
            cache_control :no_store
            token = Environment.new["UP_TACK_METRICS"]
            given = request.env["HTTP_AUTHORIZATION"].to_s[/\ABearer +(\S+)\z/i, 1]
            allowed = token.empty? ? Guard::Hosts.own_machine?(request) : Guard::Cookies.same?(given, token)
            raise Store::NotFound, Core::Messages["web.all.there_is_nothing_at", path: request.path_info] unless allowed

            content_type Metrics.type
            Metrics.text
          end
        end
      end
    end
  end
end
