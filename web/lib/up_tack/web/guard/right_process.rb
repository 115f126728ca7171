# frozen_string_literal: true

module UpTack
  module Web
    module Guard
      # Leads whoever asks for a job to the process in which it goes on.
      class RightProcess
        JOB = %r{\A/api/jobs/(?<process>\d+)-[^/]+\z}

        def initialize(app)
          @app = app
        end

        def call(env)
          process = env["PATH_INFO"].match(JOB)&.[](:process)
          (process && Neighbours.ask(process.to_i, env)) || @app.call(env)
        end
      end
    end
  end
end
