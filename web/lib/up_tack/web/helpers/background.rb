# frozen_string_literal: true

module UpTack
  module Web
    module Helpers
      # Helpers for changes that may take long because many records must follow:
      # they run in the background, and most have ended before anybody
      # could notice. After a change of the design the proofs are run again.
      module Background
        # Seconds after which the answer is a job to look at rather than the result.
        PATIENCE = 0.8

        # @yield [Design::ChangeDesign] what is to be done; gives what the second block needs
        # @param answer [Proc] makes the answer from it
        # @param report [Proc, nil] makes of it what the job tells at its end
        def change_design(answer, report: nil)
          in_background(answer, report: report) do |progress, workspace|
            result = yield UseCases::Design::ChangeDesign.new(workspace, progress: progress)
            Proving.wake
            result
          end
        end

        # @yield [UpTack::Progress, Workspace] what is to be done
        # @param report [Proc, nil] makes of its result what the job tells at its end
        # @param shared [String, nil] see Jobs.start
        def in_background(answer, report: nil, shared: nil, &work)
          chosen = person
          # What is done once, with its answer, is waited for.
          if env[Guard::Idempotency::WITHIN]
            return answer.call(work.call(Progress.none, Workspace.new(person: chosen)).tap { workspace.renew })
          end

          job =
            Jobs.start(report, owner: chosen.id, shared: shared) do |progress|
              work.call(progress, Workspace.new(person: chosen))
            end
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
end
