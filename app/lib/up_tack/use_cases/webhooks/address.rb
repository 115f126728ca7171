# frozen_string_literal: true

require "ipaddr"
require "socket"
require "uri"

module UpTack
  module UseCases
    module Webhooks
      # Where something may be sent: to this machine, and to hosts that whoever runs the program has named. So nobody
      # who may only change the design reaches machines that stand behind the same wall.
      class Address
        # The variable that names hosts.
        ALLOWED = "UP_TACK_WEBHOOKS"
        LONGEST = 500

        # @param text [String]
        # @raise [Core::Invalid] for what is no address, or one that is not allowed
        def initialize(text)
          @uri = parsed(text.to_s.strip)
          refuse_host unless named? || loopback?
          refuse(Core::Messages["webhooks.address.needs_https"]) unless @uri.is_a?(URI::HTTPS) || loopback?
        end

        # @return [URI::HTTP]
        attr_reader :uri

        # @return [String] the number under which to reach it. It is looked up once, so that a name which leads
        #   elsewhere a moment later leads nowhere.
        # @raise [Core::Invalid] where it may not be reached any more
        # @raise [SocketError] where there is no such host
        def number
          numbers = Addrinfo.getaddrinfo(host, @uri.port, nil, :STREAM).map(&:ip_address)
          return numbers.first if named?

          numbers.find { |each| IPAddr.new(each).loopback? } || refuse_host
        end

        # @return [String] as it is kept
        def to_s = @uri.to_s

        private

        def host = @uri.hostname

        def parsed(text)
          refuse(Core::Messages["webhooks.address.too_long", most: LONGEST]) if text.length > LONGEST
          uri = URI.parse(text)
          return uri if uri.is_a?(URI::HTTP) && uri.host && uri.userinfo.nil? && uri.fragment.nil?

          refuse(Core::Messages["webhooks.address.no_address"])
        rescue URI::InvalidURIError
          refuse(Core::Messages["webhooks.address.no_address"])
        end

        def named? = Environment.parts(ENV.fetch(ALLOWED, "")).any? { |name| name.casecmp?(host) }

        def loopback?
          Environment::LOOPBACK.include?(host.downcase) || IPAddr.new(host).loopback?
        rescue IPAddr::Error
          false
        end

        def refuse_host = refuse(Core::Messages["webhooks.address.not_allowed", host: @uri.host, variable: ALLOWED])

        def refuse(message) = Core::Invalid.because(message, part: "address")
      end
    end
  end
end
