# frozen_string_literal: true

module UpTack
  module UseCases
    module Proofs
      # Says which proofs a rule would break, and which it would mend, before it is saved.
      class AffectedProofs
        # table:: its Table; proof:: the Proof; differences:: what would not come out under the rule
        Change = Struct.new(:table, :proof, :differences, keyword_init: true)
        # broken, mended:: Changes; tried:: how many proofs were run
        Found = Struct.new(:broken, :mended, :tried, keyword_init: true)

        def initialize(workspace)
          @workspace = workspace
        end

        # @param table [String] key
        # @param change [#apply] a change of the design
        # @return [Found]
        # @raise [Core::Invalid]
        def call(table:, change:)
          project = @workspace.project
          key = @workspace.table(table).key
          concerned =
            project.tables.flat_map do |each|
              each
                .proofs
                .select { |proof| each.key == key || (proof.script["records"] || {}).key?(key) }
                .map { |proof| [each.key, proof] }
            end
          return Found.new(broken: [], mended: [], tried: 0) if concerned.empty?

          changed = Core::Bench::RetoldProofs.after(change, project)
          before, after = states(concerned), Core::Bench::Run.new(changed)
          found =
            concerned.map do |home, proof|
              Change.new(
                table: changed.table(home),
                proof: proof,
                differences: after.differences(changed.table(home), proof)
              )
            end
          worse = found.select { |each| before.fetch(each.proof.id) == "passed" && each.differences.any? }
          better = found.select { |each| before.fetch(each.proof.id) != "passed" && each.differences.empty? }
          Found.new(broken: worse, mended: better, tried: concerned.length)
        end

        private

        # How each comes out now: as it did when it ran against this very design, else it is run.
        def states(concerned)
          known = Store::ProofRun.where(revision_id: @workspace.revision_id).pluck(:proof_id, :state).to_h
          run = Core::Bench::Run.new(@workspace.project, @workspace.plans)
          concerned.to_h do |home, proof|
            [
              proof.id,
              known[proof.id] || (run.differences(@workspace.project.table(home), proof).empty? ? "passed" : "broken")
            ]
          end
        end
      end
    end
  end
end
