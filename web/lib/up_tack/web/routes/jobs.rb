# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Work in the background.
      module Jobs
        def self.registered(app)
          app.get("/api/jobs/:id") do
            job = UpTack::Jobs.find(params[:id])
            raise job.error if job.error && !job.error.is_a?(Upkeep::Stopped)

            json(Render::Job.of(job))
          end

          app.delete("/api/jobs/:id") do
            job = UpTack::Jobs.find(params[:id])
            job.progress.stop
            job.wait(2)
            json(Render::Job.of(job))
          end
        end
      end
    end
  end
end
