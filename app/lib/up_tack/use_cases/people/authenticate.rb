# frozen_string_literal: true

module UpTack
  module UseCases
    module People
      # Who calls: the person of a browser's session or of a script's token, and where a session begins and ends.
      module Authenticate
        # Seconds after which a session ends that nobody uses.
        IDLE = Store::Session::IDLE

        module_function

        # @param text [String] of a script
        # @return [Store::Token, nil] nil for one that is not known, or has ended
        def token(text) = Store::Token.authenticate(text)

        # @param token [String, nil] that a browser keeps
        # @return [Store::Session, nil] nil for one that is over
        def session(token) = token && Store::Session.authenticate(token)

        # @param device [String] what the browser calls itself
        # @return [Array(Store::Session, String)] with the token that the browser is to keep
        def begin_session(person, device:)
          session, token = Store::Session.begin(person, device: device)
          SecurityLog.note("signed_in", {"device" => session.device}, person: person)
          [session, token]
        end

        # @return [void]
        def end_session(token)
          found = session(token) or return
          Store::Database.write { found.delete }
          SecurityLog.note("signed_out", person: found.person)
        end

        # @return [String] by which a caller is known again, and which tells nothing
        def fingerprint(text) = Store::Session.digest(text)

        # @return [String] secret of this project, for what a browser keeps
        def secret = Store::Settings.cookie_key

        # @return [Store::Person, nil] who signs in by a name, however it is written
        def person_called(name) = Store::Person.signing_in_as(name)

        # @return [String] a name as it is compared
        def folded(name) = Store::Person.folded(name)
      end
    end
  end
end
