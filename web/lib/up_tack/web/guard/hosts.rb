# frozen_string_literal: true

module UpTack
  module Web
    module Guard
      # By which names this server may be called, and whether it is this machine that calls.
      module Hosts
        LOOPBACK = Environment::LOOPBACK

        module_function

        # @return [Array<String>]
        def permitted = [".localhost", *LOOPBACK, *Environment.new.hosts]

        # One click is for the machine that the demo runs on: called by its own name, from itself, by nobody
        # who passes on what others ask.
        # @param request [Rack::Request]
        # @return [Boolean]
        def own_machine?(request)
          loopback?(request.get_header("REMOTE_ADDR").to_s) && !request.get_header(Proxies::BEHIND) &&
            (LOOPBACK.include?(request.host.to_s.delete("[]")) || request.host.to_s.end_with?(".localhost"))
        end

        def loopback?(address)
          IPAddr.new(address).loopback?
        rescue IPAddr::Error
          false
        end
      end
    end
  end
end
