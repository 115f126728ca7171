# frozen_string_literal: true

module UpTack
  module Web
    module Guard
      # Browsers in which somebody was signed in before. They keep a mark for each such person, so that they
      # are told from strangers who try out passwords under the same name (device cookies, OWASP).
      module Devices
        NAME = "up_tack_device"
        KEPT = 180 * 86_400
        # People of one browser that are remembered.
        MOST = 8

        module_function

        # @param cookies [Hash{String=>String}] of the request
        # @param person [Store::Person] who is in now
        # @param root [String] path under which the application lies
        # @return [void]
        def remember(response, cookies, person, secure:, root: "")
          known = known_to(cookies)
          text = Cookies.verifier.generate([person.id, *known].uniq.first(MOST), purpose: :device, expires_in: KEPT)
          response.set_cookie(
            NAME,
            value: text,
            path: "#{root}/api/session",
            httponly: true,
            same_site: :strict,
            secure: secure,
            max_age: KEPT
          )
        end

        # @param cookies [Hash{String=>String}]
        # @return [Array<Integer>] numbers of people
        def known_to(cookies)
          found = cookies[NAME] && Cookies.verifier.verified(cookies[NAME], purpose: :device)
          found.is_a?(Array) ? found : []
        end

        BROWSERS = {
          "Edg" => "Edge",
          "OPR" => "Opera",
          "Firefox" => "Firefox",
          "Chrome" => "Chrome",
          "Safari" => "Safari"
        }.freeze
        SYSTEMS = {
          "Windows" => "Windows",
          "iPhone" => "a phone",
          "Android" => "a phone",
          "iPad" => "a tablet",
          "Mac OS X" => "a Mac",
          "Linux" => "Linux"
        }.freeze

        # @param agent [String, nil] as a browser names itself
        # @return [String] for people
        def called(agent)
          browser, system = [BROWSERS, SYSTEMS].map { |names| names.find { |part, _| agent.to_s.include?(part) }&.last }
          [browser || "a browser", system].compact.join(" on ")
        end
      end
    end
  end
end
