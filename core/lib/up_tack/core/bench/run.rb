# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Runs proofs against a project, each in a world of its own.
      class Run
        # What came of one proof.
        # state:: "passed", "broken", or "unfit" where it can't be run at all
        # differences:: Verdicts that are not met
        # steps:: the trace as plain lists [stage, field, rule, result, before, after]
        # reached:: keys of the points that were reached, by rule
        Result = Struct.new(:proof, :table, :state, :differences, :steps, :reached, keyword_init: true)

        # @param project [Design::Project]
        # @param plans [Hash{String=>Save::Plan}] those that are compiled already
        # @param ground [Save::CompiledProject] made of them, where there is one already
        def initialize(project, plans = {}, ground: Save::CompiledProject.new(project, plans))
          @ground = ground
          @errors = []
        end

        # @return [Array<StandardError>] over which proofs tripped that nobody foresaw; they are the program's fault
        #   and not the proof's, so whoever runs proofs must not keep them to themselves
        attr_reader :errors

        # @param key [String]
        # @return [Design::Table]
        def table(key) = @ground.project.table(key)

        # @param table [Design::Table]
        # @param proof [Design::Proof]
        # @return [Result]
        def call(table, proof)
          probe = Probe.new
          played, missed = judge(table, proof, probe: probe, trace: :brief)
          unless played
            return Result.new(proof: proof, table: table, state: "unfit", differences: missed, steps: [], reached: {})
          end

          played.look # what is evaluated for the form counts as well
          Result.new(
            proof: proof,
            table: table,
            state: missed.empty? ? "passed" : "broken",
            differences: missed,
            steps: Run.steps(played),
            reached: reached(probe)
          )
        end

        # The same in short, for whoever asks only whether it comes out as it must.
        # @return [Array<ExpectationMatcher::Verdict>] what does not
        def differences(table, proof) = judge(table, proof, trace: false).last

        # The same in a word.
        # @return [Boolean] whether it comes out as it must
        def passes?(table, proof)
          played = trial(table, proof, trace: false)
          !played.is_a?(String) && proof.expectations.all? { |each| ExpectationMatcher.met?(each, played, table) }
        rescue => e # whatever it is, it does not come out as it must
          @errors << e
          false
        end

        # @param trace [Boolean, :brief]
        # @return [Trial, String] played; a sentence where it can't be
        def trial(table, proof, probe: nil, trace: true)
          script = Design::Script.from(proof.script)
          clock = Design::ScriptClock.at(script.at, @ground.project.conventions) or
            return Messages["bench.run.there_is_no_such_day_and_hour", at: script.at]
          return Messages["bench.run.form_it_was_typed"] if script.form && table.form(script.form).nil?

          if script.start["record"] && script.start["from"] != "new" &&
              !(script.records[table.key] || {}).key?(script.start["record"].to_s)
            return Messages["bench.run.record_it_begins_with_is_not_among"]
          end

          Trial.new(@ground, table.key, script, clock: clock, probe: probe, trace: trace).play
        rescue ArgumentError, TypeError, KeyError, FloatDomainError => e
          Messages["bench.run.its_records_no_longer_fit_tables", reason: e.message]
        end

        # @param trial [Trial]
        # @return [Array<Array>] the steps of all its saves, plain, without what merely
        #   passed over
        def self.steps(trial)
          trial
            .moments
            .filter_map(&:outcome)
            .flat_map do |outcome|
              outcome
                .steps
                .reject { |step| step.result == "skipped" }
                .map { |step| [step.stage, step.key, step.rule, step.result, step.before, step.after] }
            end
        end

        # @param probe [Probe]
        # @return [Hash{String=>Array<String>}] keys of the Points that it saw, by rule
        def reached(probe) = (@index ||= PointIndex.new(@ground.project)).reached(probe.notes)

        private

        # @return [Array(Trial, Array<ExpectationMatcher::Verdict>)] played, and what is not met; nil
        #   for a proof that can't be played. One that trips over itself must not keep the
        #   others from being run.
        def judge(table, proof, **options)
          played = trial(table, proof, **options)
          return [nil, [unfit(played)]] if played.is_a?(String)

          [played, proof.expectations.map { |each| ExpectationMatcher.verdict(each, played, table) }.reject(&:met)]
        rescue => e
          @errors << e
          [
            nil,
            [
              unfit(
                Messages[
                  "bench.run.something_in_it_cant_be_worked_out",
                  reason: e.message.lines.first.to_s.strip[0, 200]
                ]
              )
            ]
          ]
        end

        def unfit(why)
          ExpectationMatcher::Verdict.new(met: false, expected: Wording["it can be run"], actual: why, field: nil)
        end
      end
    end
  end
end
