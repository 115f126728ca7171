# frozen_string_literal: true

module UpTack
  module Web
    module Guard
      # Every question has an end: what is only looked at is stopped where it takes too long. Long work
      # runs in the background, and files are handed out as they are made.
      class TimeLimit
        # Besides what is fetched, what is only tried.
        TRIED = %r{/(draft|trial|formula|candidates)\z}

        def initialize(app)
          @app = app
        end

        def call(env)
          looks = env["REQUEST_METHOD"] == "GET" || TRIED.match?(env["PATH_INFO"])
          looks ? Store::Deadline.within { @app.call(env) } : @app.call(env)
        end
      end
    end
  end
end
