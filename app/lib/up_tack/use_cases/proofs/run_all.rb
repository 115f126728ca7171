# frozen_string_literal: true

module UpTack
  module UseCases
    module Proofs
      # Runs all proofs against the latest design and keeps what came of them, a few at a time. A change of the design
      # in between begins it again.
      class RunAll
        # Proofs that are run before what came of them is kept and shown.
        AT_ONCE = 8

        # @param progress [Progress] is told how far it is
        def initialize(progress: Progress.none)
          @progress = progress
        end

        # @param again [Boolean] also those that ran against this design already
        # @return [void]
        def call(again: false)
          loop do
            compiled = Store::CompiledDesign.current
            return unless again || stale?(compiled)
            return if run(compiled, again)
          end
        end

        private

        def stale?(compiled)
          proofs = compiled.project.tables.sum { |table| table.proofs.length }
          Store::ProofRun.where(revision_id: compiled.revision_id).count != proofs || Store::ProofRun.count != proofs
        end

        # @return [Boolean] whether it came to the end
        def run(compiled, again)
          all = compiled.project.tables.flat_map { |table| table.proofs.map { |proof| [table, proof] } }
          runner = Core::Bench::Run.new(compiled.project, compiled.plans)
          in_turn(all, compiled.revision_id, again).each_slice(AT_ONCE) do |some|
            return false if Store::CompiledDesign.current.revision_id != compiled.revision_id

            results = some.map { |table, proof| runner.call(table, proof).tap { @progress.advance(1) } }
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
          @progress.begin("proofs", "state", all.length)
          @progress.advance(all.length - left.length)
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
end
