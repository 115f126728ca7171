# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Work in the background.
      module Jobs
        # Finds what was asked for.
        module Helpers
          # A job tells of records, so it is told to whoever began it, and to builders.
          # @param shared [Boolean] whether one that is everybody's will do
          def own_job(shared: false)
            job = UpTack::Jobs.find(params[:id])
            open = (shared && job.shared) || job.owner == person.id || person.builder?
            raise Store::NotFound, Core::Messages["common.there_is_no_such_job"] unless open

            job
          end
        end

        def self.registered(app)
          app.helpers Helpers
          # What somebody may be waiting for, whoever began it.
          app.get("/api/work") do
            batches = UseCases::Maintenance::Writing.new(workspace).call.map(&:to_h)
            jobs = UpTack::Jobs.waited_for.map do |job|
              {words: job["words"], percent: job["percent"], seconds: job["left"]}
            end
            json({work: jobs + batches})
          end

          app.get("/api/jobs/:id") do
            job = own_job(shared: true)
            raise job.error if job.error && !job.error.is_a?(Progress::Stopped)

            json(Render::Job.render(job, workspace))
          end

          app.delete("/api/jobs/:id") do
            job = own_job
            job.progress.stop
            job.wait(2)
            json(Render::Job.render(job, workspace))
          end
        end
      end
    end
  end
end
