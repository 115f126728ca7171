# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # Work in the background.
      module Job
        module_function

        # @param job [Jobs::Job]
        # @param workspace [Workspace] of whoever asks
        def render(job, workspace)
          state =
            if job.running?
              "running"
            elsif job.error.is_a?(Progress::Stopped)
              "stopped"
            else
              job.error ? "failed" : "done"
            end
          {
            id: job.id,
            state: state,
            field: job.progress.field,
            done: job.progress.done,
            total: job.progress.total,
            report: job.report_to(workspace)
          }
        end
      end
    end
  end
end
