# frozen_string_literal: true

module UpTack
  module UseCases
    module Proofs
      # All proofs with what came of them when they ran last, and how far they cover the
      # rules.
      class Overview
        # table:: its Table; proof:: the Proof; run:: its Store::ProofRun, nil while it has not run
        # state:: "passed", "broken", "unfit" or "waiting"
        Line = Struct.new(:table, :proof, :run, :state, keyword_init: true)

        def initialize(workspace)
          @workspace = workspace
        end

        # @return [Array<Line>] in the order of tables and proofs
        def lines
          @lines ||= @workspace.project.tables.flat_map do |table|
            table.proofs.map do |proof|
              run = runs[proof.id]
              fresh = run&.revision_id == @workspace.revision_id
              Line.new(table: table, proof: proof, run: run, state: fresh ? run.state : "waiting")
            end
          end
        end

        # What the latest runs saw. While they wait for their turn, what they saw before
        # is told, so that the board does not flicker.
        # @return [Core::Bench::Coverage]
        def coverage
          @coverage ||=
            begin
              known =
                lines.select do |line|
                  line.run && ((line.state == "waiting") ? line.run.state == "passed" : line.state == "passed")
                end
              broken = lines.select { |line| line.state == "broken" }.flat_map { |line| blamed(line.run) }
              Core::Bench::Coverage.new(
                @workspace.project,
                known.to_h { |line| [line.proof.id, line.run.points] },
                broken
              )
            end
        end

        # @return [Boolean] whether all proofs have run against the design as it is
        def fresh? = lines.none? { |line| line.state == "waiting" }

        private

        def runs =
          @runs ||=
            Store::ProofRun.select(:proof_id, :revision_id, :state, :result, :seen, :good_at, :divergence).index_by(
              &:proof_id
            )

        # The rules of which a broken proof speaks: where its trace went another way first,
        # else those that what is expected is about.
        def blamed(run)
          first = run.first_difference&.fetch("rule", nil)
          first ? [first] : run.differences.flat_map { |each| each["rules"] || [] }
        end
      end
    end
  end
end
