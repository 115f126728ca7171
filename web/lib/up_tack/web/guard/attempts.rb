# frozen_string_literal: true

require "active_support/cache"
require "rack/attack"

module UpTack
  module Web
    module Guard
      # Limits how often somebody may try to sign in: from one address, and under
      # one name, whatever the addresses.
      module Attempts
        # Tries from one address within a minute, and under one name within ten.
        FROM_ADDRESS = 30
        UNDER_NAME = 8
        NAME_PERIOD = 600

        # A name was tried too often.
        class TooMany < StandardError; end

        module_function

        # Prepares the middleware, which looks at addresses.
        def prepare
          Rack::Attack.cache.store = ActiveSupport::Cache::MemoryStore.new
          Rack::Attack.throttle("sign-in by address", limit: FROM_ADDRESS, period: 60) { |request| request.ip if request.post? && request.path == "/api/session" }
          Rack::Attack.throttled_responder = lambda do |request|
            wait = request.env["rack.attack.match_data"].then { |data| data[:period] - (data[:epoch_time] % data[:period]) }
            [429, {"content-type" => "application/problem+json", "retry-after" => wait.to_s}, [JSON.generate(details(wait))]]
          end
        end

        # @raise [TooMany]
        def count(name)
          tries = Rack::Attack.cache.count("name:#{Store::Person.folded(name)}", NAME_PERIOD)
          raise TooMany, "Too many tries under this name; wait ten minutes, or ask a builder for a new password." if tries > UNDER_NAME
        end

        # Whoever is in has not been guessing.
        def forget(name)
          period = Time.now.to_i / NAME_PERIOD
          Rack::Attack.cache.delete("#{period}:name:#{Store::Person.folded(name)}")
        end

        def details(wait) = {type: "about:blank", title: "Too many tries to sign in; wait #{wait} seconds.", status: 429, code: "too_many"}
      end
    end
  end
end
