# frozen_string_literal: true

require "rack/attack"

module UpTack
  module Web
    module Guard
      # Slows down whoever tries out passwords. Counted are wrong tries: from one address; from one address
      # under one name; and under one name from wherever, which slows strangers, yet never a browser in which
      # that person was signed in before. So nobody can shut somebody else out.
      module RateLimits
        # Requests with a password from one address within a minute.
        FROM_ADDRESS = 30
        # Wrong tries under a name within PERIOD seconds: from one address, or in a browser that is known; and
        # from all others together, after which one is heard every PAUSE seconds.
        UNDER_NAME = 8
        FROM_ALL = 20
        PERIOD = 600
        PAUSE = 15
        # Wrong tries, by what they are counted under.
        WRONG = SlidingCount.new(PERIOD) { Rack::Attack.cache.store }
        ASKED = %r{\A/api/(session|session/confirm|session/password|set-up)\z}

        # A name was tried too often.
        class TooMany < StandardError
          # @return [Integer] seconds to wait
          attr_reader :wait

          def initialize(wait)
            @wait = wait
            super(
              Core::Messages["web.rate_limits.too_many_wrong_passwords", wait: wait]
            )
          end
        end

        module_function

        # Prepares the middleware, which looks at addresses.
        def prepare
          Rack::Attack.cache.store = UseCases::People::Attempts.new
          Rack::Attack.throttle("passwords by address", limit: FROM_ADDRESS, period: 60) do |request|
            request.ip if !request.get? && ASKED.match?(request.path)
          end
          Rack::Attack.throttled_responder =
            lambda do |request|
              wait =
                request.env["rack.attack.match_data"].then do |data|
                  data[:period] - (data[:epoch_time] % data[:period])
                end
              [
                429,
                {"content-type" => "application/problem+json", "retry-after" => wait.to_s},
                [JSON.generate(details(wait))]
              ]
            end
        end

        # Before a password is looked at.
        # @param name [String] to sign in with
        # @param request [Rack::Request]
        # @return [void]
        # @raise [TooMany]
        def check(name, request)
          if WRONG.count(near(name, request)) >= UNDER_NAME
            raise TooMany.new(WRONG.wait(near(name, request), UNDER_NAME))
          end
          return if known?(name, request) || WRONG.count(far(name)) < FROM_ALL

          heard = cache.read("#{far(name)} heard")
          raise TooMany.new(PAUSE) if heard && now - heard < PAUSE

          cache.write("#{far(name)} heard", now, expires_in: PERIOD)
        end

        # @param kind [String] of the event
        # @return [void]
        def failed(name, request, kind = "sign_in_failed")
          person = UseCases::People::Authenticate.person_called(name)
          count = WRONG.add(near(name, request))
          WRONG.add(far(name)) unless known?(name, request)
          UseCases::People::SecurityLog.note_soon(
            (count == UNDER_NAME) ? "locked_out" : kind,
            {"from" => request.ip, "known" => !person.nil?},
            person: person
          )
        end

        # Whoever is in has not been guessing.
        # @return [void]
        def forget(name, request) = WRONG.forget(near(name, request))

        def details(wait) =
          {
            type: "about:blank",
            title: Core::Messages["web.rate_limits.too_many_passwords", wait: wait],
            status: 429,
            code: "too_many"
          }

        def near(name, request) =
          if known?(name, request)
            "name:#{UseCases::People::Authenticate.folded(name)} known"
          else
            "name:#{UseCases::People::Authenticate.folded(name)} at #{request.ip}"
          end

        def far(name) = "name:#{UseCases::People::Authenticate.folded(name)}"

        def known?(name, request)
          Devices.known_to(request.cookies).include?(UseCases::People::Authenticate.person_called(name)&.id)
        end

        def now = Time.now.to_i
        def cache = Rack::Attack.cache.store
      end
    end
  end
end
