# frozen_string_literal: true

module UpTack
  # Runs all proofs in the background whenever the design has changed, and keeps what
  # came of them, a few at a time. One run at a time; a change meanwhile starts it again.
  module Proving
    # How far the present run is.
    Progress = Struct.new(:done, :total)

    # Proofs that are run before what came of them is kept and shown.
    AT_ONCE = 8

    @mutex = Mutex.new

    class << self
      # Sees to it that the proofs are run against the latest design.
      # @param again [Boolean] also where they were already
      def wake(again: false)
        @mutex.synchronize do
          @again ||= again
          @wanted = true
          next if @thread&.alive?

          @stop = false
          @thread = Thread.new { work }
          @thread.report_on_exception = false
        end
      end

      # @return [Progress, nil] nil while nothing runs
      def progress = (@thread&.alive? && @progress) || nil

      # Ends what runs, and waits until it has ended.
      def stop
        @stop = true
        @thread&.join
        @thread = @progress = nil
      end

      # Waits until everything is proven.
      # @param seconds [Numeric]
      # @return [Boolean] whether it is
      def join(seconds = 60) = @thread.nil? || !@thread.join(seconds).nil?

      private

      def work
        path = Store::Database.path
        while wanted? && path == Store::Database.path
          compiled = Store::CompiledDesign.current
          again, @again = @again, false
          @again = true if (again || stale?(compiled)) && !run(compiled, path, again) && again
        end
      rescue Store::NotFound
        nil # There is no project yet.
      rescue => e
        Log["Proving"].error("The proofs could not be run", e)
      ensure
        ActiveRecord::Base.connection_handler.clear_active_connections!
      end

      def wanted?
        @mutex.synchronize do
          wanted = @wanted && !@stop
          @wanted = false
          wanted
        end
      end

      def stale?(compiled)
        proofs = compiled.project.tables.sum { |table| table.proofs.length }
        Store::ProofRun.where(revision_id: compiled.revision_id).count != proofs || Store::ProofRun.count != proofs
      end

      # @return [Boolean] whether it came to the end
      def run(compiled, path, again)
        all = compiled.project.tables.flat_map { |table| table.proofs.map { |proof| [table, proof] } }
        @progress = Progress.new(0, all.length)
        runner = Core::Bench::Run.new(compiled.project, compiled.plans)
        in_turn(all, compiled.revision_id, again).each_slice(AT_ONCE) do |some|
          return false if @stop || @wanted || path != Store::Database.path

          results = some.map { |table, proof| runner.call(table, proof).tap { @progress.done += 1 } }
          while (error = runner.errors.shift)
            Log["Proving"].error("A proof could not be run", error)
          end
          keep(results, compiled.revision_id)
        end
        Store::Database.write { Store::ProofRun.where.not(proof_id: all.map { |_, proof| proof.id }).delete_all }
        true
      end

      # First those of which most is to be learned: new ones, and what was broken.
      def in_turn(all, revision, again)
        known = Store::ProofRun.pluck(:proof_id, :revision_id, :state).to_h { |id, at, state| [id, [at, state]] }
        left = again ? all : all.reject { |_, proof| known.dig(proof.id, 0) == revision }
        @progress.done = all.length - left.length
        left.partition { |_, proof| known.dig(proof.id, 1) != "passed" }.flatten(1)
      end

      def keep(results, revision)
        good =
          Store::ProofRun
            .where(proof_id: results.map { |result| result.proof.id })
            .pluck(:proof_id, :good, :good_at)
            .to_h { |id, steps, at| [id, [steps, at]] }
        rows = results.map { |result| row(result, revision, *good.fetch(result.proof.id, [nil, nil])) }
        Store::Database.write { Store::ProofRun.upsert_all(rows, unique_by: :proof_id) }
      end

      def row(result, revision, good, good_at)
        passed = result.state == "passed"
        divergence =
          if good && !passed && result.state == "broken"
            Core::Bench::Divergence.between(JSON.parse(good), JSON.parse(JSON.generate(result.steps)))
          end
        {
          proof_id: result.proof.id,
          revision_id: revision,
          state: result.state,
          result:
            JSON.generate(result.differences.map { |each| each.to_h.slice(:expected, :actual, :field, :rules) }),
          seen: JSON.generate(result.reached),
          good: passed ? JSON.generate(result.steps) : good,
          good_at: passed ? Time.now.utc : good_at,
          divergence: divergence && JSON.generate(divergence.to_h)
        }
      end
    end
  end
end
