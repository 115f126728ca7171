# frozen_string_literal: true

require "active_support/message_verifier"

module UpTack
  module Web
    module Guard
      # The cookie of somebody signed in: a token, signed so that none can be made
      # up, and worthless once its session has ended here.
      module Cookies
        NAME = "up_tack_session"

        module_function

        # @return [String] a token as the cookie holds it
        def seal(token) = verifier.generate(token, purpose: :session)

        # @return [String, nil] the token, nil for a cookie that was not made here
        def open(text) = verifier.verified(text.to_s, purpose: :session)

        # @return [String] what a page of this application proves itself by when it writes
        def write_key(token)
          OpenSSL::HMAC.hexdigest("SHA256", UseCases::People::Authenticate.secret, "write #{token}")
        end

        # @return [Boolean] compared in a time that tells nothing
        def same?(one, other) = ActiveSupport::SecurityUtils.secure_compare(one.to_s, other.to_s)

        # By which everything is signed that a browser keeps, each for its purpose.
        # @return [ActiveSupport::MessageVerifier]
        def verifier =
          ActiveSupport::MessageVerifier.new(UseCases::People::Authenticate.secret, digest: "SHA256", serializer: JSON)
      end
    end
  end
end
