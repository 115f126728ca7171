# frozen_string_literal: true

module UpTack
  module UseCases
    module Proofs
      # Plays a script for the bench and writes nothing: over the real records, or by
      # itself where it brings records of its own.
      class Play
        # trial:: the Core::Bench::Trial; script:: as it was played, plain
        # verdicts:: what of it came out as expected; proposed:: what could be expected
        Played = Struct.new(:trial, :script, :verdicts, :proposed, keyword_init: true)

        def initialize(workspace)
          @workspace = workspace
        end

        # @param table [String] key
        # @param script [Hash{String=>Object}] plain; "records" make it stand by itself
        # @param expect [Array<Hash>] plain expectations to hold it against
        # @param propose [Boolean] whether it is to be made to stand by itself, and told
        #   what could be expected of it
        # @return [Played]
        # @raise [Core::Invalid, Store::NotFound]
        def call(table:, script:, expect: [], propose: false)
          design = @workspace.table(table)
          Services::NotAllowed.unless_may(@workspace.person, design, :edit)
          check(design, script, expect)
          script = frozen(design, script) if propose && !script["records"]
          trial = script["records"] ? alone(design, script) : over_real(design, script, @workspace.context.records)
          Played.new(
            trial: trial,
            script: script,
            verdicts:
              expect.map do |attributes|
                Core::Bench::ExpectationMatcher.verdict(Core::Design::Expectation.from(attributes), trial, design)
              end,
            proposed: propose ? Core::Bench::SuggestedExpectations.new(trial, design).all : []
          )
        end

        # What a trial over the real records takes, of which nothing is written.
        # @param ground [Core::Save::CompiledProject]
        # @param records [#find] the real ones
        # @return [Hash] for Core::Bench::Trial.new
        def self.real(ground, records)
          world =
            Core::Bench::RecordOverlay.new(
              ground,
              beneath: records,
              following: ->(key) { (Store::RecordTable.model(key).maximum(:id) || 0) + 1 }
            )
          {world: world, counters: Core::Bench::Counters.new(Store::Counters.new)}
        end

        private

        def check(design, script, expect)
          if script["form"] && !design.form(script["form"])
            raise Store::NotFound, Core::Messages["common.there_is_no_such_form", design: design.label]
          end

          proof =
            Core::Design::Proof.from(
              {
                "name" => "trial",
                "expect" => expect.empty? ? [{"what" => "saved"}] : expect,
                "at" => now.to_s
              }.merge(script.compact)
            )
          problems = Core::Design::ProofInspection.new(proof, design, conventions).problems
          raise Core::Invalid, problems if problems.any?

          Services::Fields.check(design, typed_in(script))
          record = script.dig("start", "record")
          Records::FindRecord.new(@workspace).call(table: design.key, id: record) if record && !script["records"]
        end

        def typed_in(script) =
          (script["acts"] || [])
            .flat_map { |act| [act["field"], *act["values"]&.keys].compact }
            .to_h { |key| [key, nil] }

        # The script with the records that it looked at, at a fixed hour.
        def frozen(design, script)
          recorder = Core::Bench::Recorder.new(@workspace.project, @workspace.context.records)
          trial = over_real(design, script, recorder)
          trial.states
          script.merge("at" => script["at"] || now.to_s, "records" => recorder.records)
        end

        def over_real(design, script, records) = play(design, script, **Play.real(@workspace.ground, records))

        def alone(design, script) = play(design, script)

        def play(design, script, **more)
          Core::Bench::Trial.new(
            @workspace.ground,
            design.key,
            Core::Design::Script.from(script),
            clock: clock(script),
            **more
          ).play
        rescue ArgumentError, TypeError => e
          Core::Invalid.because(Core::Messages["proofs.all.records_of_proof_no_longer_fit_tables", reason: e.message])
        end

        def clock(script) = script["at"] ? Core::Design::ScriptClock.at(script["at"], conventions) : now
        def now = Core::Design::ScriptClock.new(@workspace.clock.now, conventions)
        def conventions = @workspace.project.conventions
      end
    end
  end
end
