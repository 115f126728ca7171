# frozen_string_literal: true

module UpTack
  module Web
    # What stands before every request: who it is, whether they may, and whether
    # it comes from a page of this application.
    module Guard
      # Nobody is signed in, or no longer.
      class SignedOut < StandardError; end
      # The write does not come from a page of this application.
      class CrossSiteRequest < StandardError; end

      # What is asked at an address where something else can be asked.
      class MethodNotAllowed < StandardError
        # @return [Array<String>] what can be asked there
        attr_reader :verbs

        def initialize(verbs, message)
          @verbs = verbs
          super(message)
        end
      end

      # What is asked for needs the password once more.
      class Unconfirmed < StandardError; end

      # The headers of every answer. Scripts, styles and fonts come from here alone;
      # a page carries a fresh nonce for the styles that the editor makes while it runs.
      HEADERS = {
        "X-Content-Type-Options" => "nosniff", "X-Frame-Options" => "DENY", "Referrer-Policy" => "same-origin",
        "Cross-Origin-Opener-Policy" => "same-origin", "Cross-Origin-Resource-Policy" => "same-origin",
        "Permissions-Policy" => "camera=(), geolocation=(), microphone=(), payment=(), usb=()"
      }.freeze

      def self.registered(app)
        app.helpers Helpers
        app.before { guard }
      end

      # @param nonce [String, nil]
      # @return [String] the content security policy
      def self.policy(nonce = nil)
        styles = "style-src-elem 'self'#{" 'nonce-#{nonce}'" if nonce}; style-src-attr 'unsafe-inline'"
        "default-src 'none'; script-src 'self'; #{styles}; font-src 'self'; img-src 'self' data:; " \
          "connect-src 'self'; manifest-src 'self'; worker-src 'self'; " \
          "base-uri 'none'; form-action 'self'; frame-ancestors 'none'"
      end

      # Used by routes and by the guard itself.
      module Helpers
        # @return [Store::Person] whoever is signed in, or on whose behalf a script comes
        # @raise [SignedOut]
        def person = by_token ? by_token.actor : signed_in.person

        # @return [Store::Token, nil] that of a script, nil for a browser
        # @raise [SignedOut] for one that is not known or has ended
        def by_token
          return @by_token if defined?(@by_token)

          text = request.env["HTTP_AUTHORIZATION"].to_s[/\ABearer +(\S+)\z/i, 1] || request.GET["token"]
          @by_token =
            text &&
            (UseCases::People::Authenticate.token(text.to_s) or raise SignedOut,
              Core::Messages["web.guard.token_is_not_known"])
          refuse_mighty_address
          @by_token
        end

        # @return [Store::Session]
        # @raise [SignedOut]
        def signed_in
          @signed_in ||=
            begin
              token = Guard::Cookies.open(request.cookies[Guard::Cookies::NAME])
              found = UseCases::People::Authenticate.session(token) or
                raise SignedOut,
                  Core::Messages["web.guard.you_are_not_signed_in_or_your"]
              @token = token
              found.person.active ? found : switched_off(found)
            end
        end

        # @param person [Store::Person]
        def begin_session(person)
          device = Guard::Devices.called(request.user_agent)
          @signed_in, @token = UseCases::People::Authenticate.begin_session(person, device: device)
          Guard::Devices.remember(
            response, request.cookies, person, secure: request.ssl?, root: request.script_name
          )
          response.set_cookie(
            Guard::Cookies::NAME,
            value: Guard::Cookies.seal(@token),
            path: whole_path,
            httponly: true,
            same_site: :strict,
            secure: request.ssl?,
            max_age: UseCases::People::Authenticate::IDLE
          )
        end

        def end_session
          UseCases::People::Authenticate.end_session(Guard::Cookies.open(request.cookies[Guard::Cookies::NAME]))
          response.delete_cookie(Guard::Cookies::NAME, path: whole_path)
        end

        # @return [String] where all of the application lies
        def whole_path = "#{request.script_name}/"

        # @return [String] what the pages of this session send along when they write
        def write_key = signed_in && Guard::Cookies.write_key(@token)

        private

        def guard
          headers Guard::HEADERS.merge("Content-Security-Policy" => Guard.policy)
          headers "Strict-Transport-Security" => "max-age=31536000" if request.ssl?
          return unless request.path_info.start_with?("/api/")

          cache_control :no_store
          refuse_unsound
          refuse_foreign
          operation = Guard::Access.current.find(request.request_method, request.path_info)
          nothing_there unless operation
          refuse_strange_query(operation)
          authorise(operation) unless operation.least == "anyone"
        end

        def nothing_there
          verbs = Guard::Access.current.verbs(request.path_info)
          if verbs.empty?
            raise Store::NotFound, Core::Messages["web.all.there_is_nothing_at", path: request.path_info]
          end

          message =
            Core::Messages["web.guard.not_with_this_method", method: request.request_method, verbs: verbs.join(", ")]
          raise MethodNotAllowed.new(verbs, message)
        end

        # A misspelt name would be ignored, and what is answered be something else.
        def refuse_strange_query(operation)
          strange = (request.GET.keys - operation.query).first or return
          name = strange[0, 60].scrub
          none = Core::Messages["web.guard.no_parameters", name: name]
          raise Params::Requests::Malformed, none if operation.query.empty?

          known = operation.query.join(", ")
          raise Params::Requests::Malformed, Core::Messages["web.guard.no_such_parameter", name: name, known: known]
        end

        # Addresses are passed on and written down in many places: one with a token must let nobody change anything.
        def refuse_mighty_address
          return unless request.GET.key?("token") && @by_token && @by_token.role != Guard::Access::ORDER.first

          raise Services::NotAllowed, Core::Messages["web.guard.address_needs_reader"]
        end

        def authorise(operation)
          unless by_token
            signed_in
            refuse_without_key unless request.get? || request.head?
          end
          Log.add(person: person.id)
          unless Guard::Access.enough?(person.role, operation.least)
            UseCases::People::SecurityLog.note_refusal(person, operation.id)
            raise Services::NotAllowed,
              Core::Messages[
                by_token ? "web.guard.not_for_role_of_token" : "web.guard.not_for_your_role",
                those: (operation.least == "builder") ? "builders" : "builders and clerks",
                role: person.role
              ]
          end
          confirm if operation.confirm
          Guard::Contract.hold(request, operation)
          former_path
          if operation.table
            Services::NotAllowed.unless_may(person, workspace.table(present_table(operation.table)), :see)
          end
        end

        # Whoever finds a browser that is signed in can't do everything with it.
        def confirm
          raise Services::NotAllowed, Core::Messages["web.guard.script_cant_do"] if by_token
          return if !person.password? || signed_in.confirmed?

          raise Unconfirmed, Core::Messages["web.guard.type_your_password_again_to_go"]
        end

        # No address and no question has a character that no text has.
        def refuse_unsound
          texts = [Rack::Utils.unescape_path(request.path_info), *request.GET.flatten(3)].map(&:to_s)
          unless texts.all? { |text| sound?(text) }
            Core::Invalid.because(Core::Messages["web.guard.address_holds_character_is_no_text"])
          end
        rescue Rack::QueryParser::InvalidParameterError, Rack::QueryParser::ParameterTypeError, ArgumentError
          raise Params::Requests::Malformed, Core::Messages["web.guard.address_cant_be_read"]
        end

        def sound?(text)
          text = text.dup.force_encoding(Encoding::UTF_8)
          text.valid_encoding? && !text.include?("\u0000")
        end

        # A browser says from where a request comes; what another site's page sends is not heard.
        def refuse_foreign
          return if request.get? || request.head?

          origin = request.env["HTTP_ORIGIN"].to_s
          site = request.env["HTTP_SEC_FETCH_SITE"].to_s
          own = origin.empty? || origin == "#{request.scheme}://#{request.host_with_port}"
          unless own && ["", "same-origin", "none"].include?(site)
            raise CrossSiteRequest, Core::Messages["web.guard.another_sites_page_may_not_write_here"]
          end
        end

        def refuse_without_key
          return if Guard::Cookies.same?(request.env["HTTP_X_WRITE_KEY"], write_key)

          raise CrossSiteRequest, Core::Messages["web.guard.write_does_not_carry_key"]
        end

        def switched_off(session)
          session.delete
          raise SignedOut, Core::Messages["web.guard.your_account_was_made_inactive_by_builder"]
        end
      end
    end
  end
end
