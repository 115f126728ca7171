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

        # @param present [Proc, nil] see #in_background
        # @yield [Design::ChangeDesign] what is to be done; gives what `told` needs
        def change_design(present = nil, status: 200)
          words = Core::Messages["maintenance.writing.changes_the_design", whom: person.name]
          in_background(present, status: status, words: words) do |progress, workspace|
            ahead = ->(**asked) do
              Work.call("calculate ahead", {owner: Process.pid, **asked}, person: workspace.person, progress: progress)
            end
            result = yield UseCases::Design::ChangeDesign.new(workspace, progress: progress, ahead: ahead)
            Proving.wake
            result
          end
        end

        # Answers with what came of it, or with a job that tells the same at its end.
        # @param present [Proc, nil] gives what is told (an Array or a Hash for JSON), from the result and the
        #   workspace of whoever asks for it; without one there is nothing to tell, which is answered with 204
        # @param status [Integer] of the answer when it can be waited for
        # @param failed [Proc, nil] gives title: and code: of a problem where nothing came of it, nil otherwise
        # @param shared [String, nil] see Jobs.start
        # @param words [String, nil] see Jobs.start
        # @yield [UpTack::Progress, Workspace] what is to be done
        def in_background(present = nil, status: 200, failed: nil, shared: nil, words: nil, &work)
          chosen = person
          # What is done once, with its answer, is waited for.
          if env[Guard::Idempotency::WITHIN]
            return ended(work.call(Progress.none, Workspace.new(person: chosen)), present, status, failed)
          end

          job =
            Jobs.start(present, owner: chosen.id, shared: shared, words: words) do |progress|
              work.call(progress, Workspace.new(person: chosen))
            end
          return json(Render::Job.render(job, workspace), status: 202) unless job.wait(PATIENCE)

          raise job.error if job.error

          ended(job.result, present, status, failed)
        rescue Jobs::Elsewhere => e
          looked_at_elsewhere(e.id)
        end

        # Records that are written sooner than a process has begun.
        FEW = 20

        # The same in a process of its own, where it may take long.
        # @param task [String] key of Work::TASKS
        # @param arguments [Hash{Symbol=>Object}] for it
        # @param many [Integer, nil] how many records are written, where it is known; FEW and fewer are written here
        #   unless it is a try
        # @param more [Hash] status:, failed: and shared: as #in_background has them
        def work_apart(task, arguments, present = nil, many: nil, **more)
          in_background(present, **more) do |progress, workspace|
            next Work.here(task, arguments, workspace, progress) if many && many <= FEW && arguments[:keep] != "none"

            Work.call(task, arguments, person: workspace.person, progress: progress)
          end
        end

        # Waits for what it gives; others who have to wait meanwhile are told why.
        # @param words [String] see Jobs.start
        # @yield
        def telling_others(words, &work)
          job = Jobs.start(owner: person.id, words: words) { work.call }
          job.wait(nil)
          raise job.error if job.error

          job.result
        end

        # @param key [String, nil] of a table; nil where the block finds it
        # @yield [Core::Design::Project] the changed design, where the key follows from that
        # @return [Proc] tells the table as it is after a change
        def whole_table(key = nil, &find) =
          ->(project, workspace) do
            Render::Table.new(workspace).full(workspace.table(key || find.call(project)))
          end

        private

        # The same job as whoever began it looks at, in its process.
        def looked_at_elsewhere(id)
          asked = env.merge("REQUEST_METHOD" => "GET", "PATH_INFO" => "/api/jobs/#{id}", "rack.input" => StringIO.new)
          code, fields, body = Neighbours.ask(Jobs.process(id), asked)
          raise Store::NotFound, Core::Messages["common.there_is_no_such_job"] unless code

          content_type fields["content-type"]
          halt((code == 200) ? 202 : code, body)
        end

        def ended(result, present, status, failed)
          workspace.renew
          return 204 unless present

          told = present.call(result, workspace)
          problem = failed&.call(result) or return json(told, status: status)

          problem(422, problem[:code], problem[:title], **told)
        end
      end
    end
  end
end
