# frozen_string_literal: true

require "ipaddr"

module UpTack
  module Web
    module Guard
      # What a request says of where it came from, and by which name, is believed of the proxies alone that
      # UP_TACK_PROXIES names: addresses or networks, with commas between them. From anybody else it is
      # removed, so that nobody makes up an address.
      class Proxies
        FORWARDED = %w[
          HTTP_X_FORWARDED_FOR
          HTTP_X_FORWARDED_HOST
          HTTP_X_FORWARDED_PROTO
          HTTP_X_FORWARDED_SCHEME
          HTTP_X_FORWARDED_SSL
          HTTP_X_FORWARDED_PORT
          HTTP_FORWARDED
          HTTP_CLIENT_IP
          HTTP_X_REAL_IP
        ].freeze
        # That something was removed: whoever is behind a proxy nobody knows is not at this machine.
        BEHIND = "up_tack.behind_a_proxy"

        # @param known [Array<IPAddr>]
        def initialize(app, known = Environment.new.proxies)
          @app = app
          @known = known
          # Otherwise Rack believes every address of a private network.
          Rack::Request.ip_filter = ->(ip) { known?(ip) }
        end

        def call(env)
          forwarded = FORWARDED.select { |name| env.key?(name) }
          return @app.call(env) if forwarded.empty?

          env[BEHIND] = true
          forwarded.each { |name| env.delete(name) } unless known?(env["REMOTE_ADDR"])
          @app.call(env)
        end

        private

        def known?(ip)
          address = IPAddr.new(ip.to_s)
          @known.any? { |each| each.include?(address) }
        rescue IPAddr::Error
          false
        end
      end
    end
  end
end
