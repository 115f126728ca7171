# frozen_string_literal: true

module UpTack
  module UseCases
    module Proofs
      # Makes a record that comes out otherwise with a small mistake in a rule than without it, for a
      # proof that notices the mistake.
      class NoticeMistake
        # candidate:: Core::Bench::BoundaryCases::Candidate; expect:: Proposals of what came out
        Made = Struct.new(:candidate, :expect, keyword_init: true)

        def initialize(workspace)
          @workspace = workspace
        end

        # @param table [String] key
        # @param rule [String] id
        # @param mistake [Integer] its place among those of the rule
        # @return [Made, nil] nil where no record was found that tells it apart
        # @raise [Store::NotFound]
        def call(table:, rule:, mistake:)
          design = @workspace.table(table)
          own = design.rule(rule) or raise Store::NotFound, Core::Messages["proofs.all.there_is_no_such_rule"]
          mutant = Core::Bench::Mutants.all(own, design)[mistake] or
            raise Store::NotFound, Core::Messages["proofs.notice_mistake.there_is_no_such_mistake_of_rule"]
          slip = Mistakes.new(@workspace).slip(table, rule, mistake)
          script = slip&.looked ? slip.script : found(design, own, mutant)
          script && played(script, design, own, mutant.words)
        end

        # @param slip [Proofs::Mistakes::Slip] with its script
        # @return [Made]
        def suggestion(slip, design) = played(slip.script, design, design.rule(slip.rule), slip.words)

        private

        def distinguisher(design)
          around = RelatedRecords.new(@workspace)
          Core::Bench::Distinguisher.new(
            @workspace.ground,
            design,
            clock: SuggestEdges.clock(@workspace),
            records: around.records(design),
            profiles: {design.key => around.profile(design)}
          )
        end

        def found(design, rule, mutant)
          changed = Core::Bench::MutationRun.new(@workspace.project, design, [], @workspace.plans).ground(rule, mutant)
          distinguisher(design).find(rule, mutant, changed)&.script
        end

        def played(script, design, rule, mistake)
          conventions = @workspace.project.conventions
          trial =
            Core::Bench::Trial.new(
              @workspace.ground,
              design.key,
              Core::Design::Script.from(script),
              clock: Core::Design::ScriptClock.at(script["at"], conventions),
              trace: false
            ).play
          called = Core::Bench::BoundaryCases::Targets.name(rule, design)
          words = Core::Wording["%{rule}: notices %{mistake}", rule: called, mistake: mistake]
          candidate =
            Core::Bench::BoundaryCases::Candidate.new(
              words: [words],
              script: script,
              trial: trial,
              points: [],
              stage: rule.stage,
              mere: false
            )
          Made.new(
            candidate: candidate,
            expect: Core::Bench::SuggestedExpectations.new(trial, design).all.select(&:usual)
          )
        end
      end
    end
  end
end
