# frozen_string_literal: true

module UpTack
  module Web
    # Helpers for changes that may take long because many records must follow:
    # they run in the background, and most have ended before anybody
    # could notice.
    module Background
      # Seconds after which the answer is a job to look at rather than the result.
      PATIENCE = 0.8

      # @yield [UseCases::ChangeDesign] what is to be done; gives what the second block needs
      # @param answer [Proc] makes the answer from it
      def change_design(answer)
        in_background(answer) { |progress, workspace| yield UseCases::ChangeDesign.new(workspace, progress: progress) }
      end

      # @yield [Upkeep::Progress, Workspace] what is to be done
      def in_background(answer, &work)
        chosen = person
        job = Jobs.start { |progress| work.call(progress, Workspace.new(person: chosen)) }
        job.wait(PATIENCE) ? ended(job, answer) : json(Render::Job.of(job), status: 202)
      end

      private

      def ended(job, answer)
        raise job.error if job.error

        workspace.renew
        answer.call(job.result)
      end
    end
  end
end
