# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Finds a record that comes out otherwise with a small mistake in a rule than without it: what a
      # proof must be made of to notice the mistake. Records are tried that show the edges of the rule
      # as it is and as it would be, each in the ways in which somebody comes by a record: typed anew,
      # changed after it was saved, there before the rule was, twice, as somebody else.
      class Distinguisher
        # A record that tells the two apart.
        # script:: plain; trial:: played by the rules as they are; expect:: plain expectations of what came out
        Found = Struct.new(:script, :trial, :expect, keyword_init: true)

        # @param ground [Save::CompiledProject]
        # @param table [Design::Table]
        # @param clock [Design::ScriptClock]
        # @param records [Hash{String=>Hash{Integer=>Hash}}] some real ones that links can lead to
        # @param profiles [Hash{String=>Samples::Profile}]
        def initialize(ground, table, clock:, records: {}, profiles: {})
          @ground = ground
          @table = table
          @clock = clock
          @base = BoundaryCases::BaseRecord.new(ground, table, records: records, clock: clock, profiles: profiles)
          @scene = BoundaryCases::ScriptBuilder.new(table, @base, clock, ground.project.conventions)
          @seen = seen_values
          @played = {}
          @run = Run.new(ground.project, ground: ground)
          @assignments = BoundaryCases::Assignments.new(table, @base, @seen)
        end

        # @param rule [Rules::Rule]
        # @param mutant [Mutants::Mutant]
        # @param changed [Save::CompiledProject] of the project with the mistake in it
        # @param known [Array<Found>] records that are there already
        # @return [Found, nil]
        def find(rule, mutant, changed, known: [])
          run = Run.new(changed.project, ground: changed)
          table = run.table(@table.key)
          differs = ->(found) { !run.passes?(table, proof(found)) && @run.passes?(@table, proof(found)) }
          known.find(&differs) || scripts(rule, mutant).lazy.filter_map { |script| played(script) }.find(&differs)
        end

        private

        def proof(found)
          Design::Proof.from(found.script.merge("id" => "tried", "name" => "tried", "expect" => found.expect))
        end

        def seen_values
          trial = play(@scene.script({}))
          came = (trial ? trial.last.outcome&.values || {} : {}).compact
          @base.values.merge(came.reject { |key, _| @table.worked_out?(key) })
        end

        def play(script)
          script &&
            Trial.new(
              @ground,
              @table.key,
              Design::Script.from(script),
              clock: Design::ScriptClock.at(script["at"], @ground.project.conventions),
              trace: false
            ).play
        end

        # @return [Found, nil]
        def played(script)
          @played.fetch(script) do
            trial = play(script)
            expect = trial && SuggestedExpectations.new(trial, @table).all.select(&:usual).map(&:attributes)
            @played[script] = trial && Found.new(script: script, trial: trial, expect: expect)
          end
        rescue ArgumentError, TypeError, KeyError, NoMethodError
          @played[script] = nil
        end

        # Each once, the simplest first.
        def scripts(rule, mutant)
          scenes = Scenes.new(@table, @base, @scene, rule, @seen)
          assignments = @assignments.find(rule, mutant.attributes && Rules.from(mutant.attributes))
          Scenes::ALL
            .lazy
            .flat_map { |scene|
            assignments.lazy.flat_map { |assignment|
              [scenes.script(scene, assignment)].flatten.compact
            }
          }
            .uniq
        end
      end
    end
  end
end
