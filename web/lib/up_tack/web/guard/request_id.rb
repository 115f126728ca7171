# frozen_string_literal: true

module UpTack
  module Web
    module Guard
      # Gives each request an id, by which what is logged of it is found again: that which a proxy gave it, where
      # it is sound, or a new one. The answer carries it.
      class RequestId
        SOUND = /\A[A-Za-z0-9_-]{8,64}\z/

        def initialize(app)
          @app = app
        end

        def call(env)
          given = env["HTTP_X_REQUEST_ID"].to_s
          id = given.match?(SOUND) ? given : SecureRandom.uuid
          begun = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          status, headers, body =
            Log.within(request: id) { @app.call(env).tap { |code, *| note(env, code, begun) } }
          [status, headers.merge("x-request-id" => id), body]
        end

        private

        def note(env, status, begun)
          took = Process.clock_gettime(Process::CLOCK_MONOTONIC) - begun
          Metrics.note(env, status, took)
          Log["Request"].info { "#{env["REQUEST_METHOD"]} #{env["PATH_INFO"]} #{status} in #{(took * 1_000).round} ms" }
        end
      end
    end
  end
end
