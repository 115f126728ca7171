# frozen_string_literal: true

module UpTack
  module Web
    module Guard
      # A write that carries an Idempotency-Key (IETF draft-ietf-httpapi-idempotency-key-header)
      # is done once. That it was done is kept in the same transaction as what it did, its answer right
      # after; whoever sends it again under that key is given that answer. What was refused has done
      # nothing and may be sent again.
      class Idempotency
        HEADER = "HTTP_IDEMPOTENCY_KEY"
        METHODS = %w[POST PUT PATCH DELETE].freeze
        # Told to the application: that nothing goes on in the background once it has answered.
        WITHIN = "up_tack.at_once"
        LONGEST = 200
        # Operations that leave nothing behind, whose answers are secrets, or whose body is a file: none of
        # them is remembered.
        APART = %r{
          \A/api/(session|set-up|tokens|webhooks|people|imports|history/verify|backups|conventions/preview) |
          /(draft|trial|formula|pieces|preview|candidates|edges|bench|samples|mistakes|look|decisions/\w+)\z
        }x

        def initialize(app)
          @app = app
        end

        def call(env)
          key = env[HEADER].to_s
          if key.empty? || !METHODS.include?(env["REQUEST_METHOD"]) || APART.match?(env["PATH_INFO"])
            return @app.call(env)
          end
          unless key.match?(/\A[\x21-\x7E ]{1,#{LONGEST}}\z/)
            return problem(
              400,
              "malformed",
              Core::Messages["web.idempotency.idempotency_key_has_up_to_plain_characters", most: LONGEST]
            )
          end

          # Whoever is not signed in, or sends more than is taken, is answered without anything being read or held.
          return @app.call(env) unless known?(env) && env["CONTENT_LENGTH"].to_i <= Params::Requests::LARGEST_BODY

          request = fingerprint(env) or return @app.call(env)
          once = Services::AnswerOnce.new(who(env), key, request)
          once.call { |known| (known.state == :new) ? answer(env, once, known.answer) : again(known) }
        ensure
          ActiveRecord::Base.connection_handler.clear_active_connections!
        end

        private

        def answer(env, once, answer)
          status, headers, body = once.noting(answer) { @app.call(env.merge(WITHIN => true)) }
          text = +"".b
          body.each { |part| text << part.b }
          body.close if body.respond_to?(:close)
          if status.between?(200, 299)
            answer.answer(
              status,
              headers.to_h.except("set-cookie", "Set-Cookie", "content-length", "Content-Length"),
              text
            )
          else
            answer.forget
          end
          [status, headers, [text]]
        end

        def again(known)
          case known.state
          when :another
            problem(
              422,
              "key_used",
              Core::Messages["web.idempotency.idempotency_key_was_used_for_another_request"]
            )
          when :lost
            problem(409, "done_before", Core::Messages["web.idempotency.was_done_before"])
          else
            answer = known.answer
            [answer.status, JSON.parse(answer.headers).merge("idempotency-replayed" => "true"), [answer.body]]
          end
        end

        # Whether somebody is signed in; what they may do is asked later.
        def known?(env)
          bearer = env["HTTP_AUTHORIZATION"].to_s[/\ABearer +(\S+)\z/i, 1]
          return !UseCases::People::Authenticate.token(bearer).nil? if bearer

          sealed = Rack::Utils.parse_cookies(env)[Guard::Cookies::NAME]
          !UseCases::People::Authenticate.session(sealed && Guard::Cookies.open(sealed)).nil?
        end

        # Who calls, by what they call with: a key is theirs alone.
        def who(env) =
          UseCases::People::Authenticate.fingerprint(env["HTTP_AUTHORIZATION"].to_s + env["HTTP_COOKIE"].to_s)

        # @return [String, nil] nil for a body beyond what is taken
        def fingerprint(env)
          body = env["rack.input"]&.read(Params::Requests::LARGEST_BODY + 1).to_s
          env["rack.input"] = StringIO.new(body)
          return if body.bytesize > Params::Requests::LARGEST_BODY

          Digest::SHA256.hexdigest([env["REQUEST_METHOD"], env["PATH_INFO"], env["QUERY_STRING"], body].join("\n"))
        end

        def problem(status, code, title)
          [
            status,
            {"content-type" => "application/problem+json"},
            [JSON.generate({type: "about:blank", title: title, status: status, code: code})]
          ]
        end
      end
    end
  end
end
