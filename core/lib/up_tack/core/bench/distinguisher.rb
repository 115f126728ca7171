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

        # Ways tried for each mistake, and ways of each point.
        MOST_WAYS = 40
        OF_EACH = 3
        OF_UPSTREAM = 4

        # @param ground [Ground]
        # @param table [Design::Table]
        # @param clock [Clock]
        # @param records [Hash{String=>Hash{Integer=>Hash}}] some real ones that links can lead to
        # @param profiles [Hash{String=>Samples::Profile}]
        def initialize(ground, table, clock:, records: {}, profiles: {})
          @ground = ground
          @table = table
          @clock = clock
          @base = Edges::Base.new(ground, table, records: records, clock: clock, profiles: profiles)
          @scene = Edges::Scene.new(table, @base, clock, ground.project.conventions)
          @seen = seen_values
          @played = {}
          @ways = {}
        end

        # @param rule [Rules::Rule]
        # @param mutant [Mutants::Mutant]
        # @param changed [Ground] of the project with the mistake in it
        # @param known [Array<Found>] records that are there already
        # @return [Found, nil]
        def find(rule, mutant, changed, known: [])
          run = Run.new(changed.project, ground: changed)
          table = run.table(@table.key)
          differs = ->(found) { !run.passes?(table, proof(found)) }
          known.find(&differs) || scripts(rule, mutant).lazy.filter_map { |script| played(script) }.find(&differs)
        end

        private

        def proof(found) = Proof.from(found.script.merge("id" => "tried", "name" => "tried", "expect" => found.expect))

        def seen_values
          trial = play(@scene.script({}))
          came = (trial ? trial.last.outcome&.values || {} : {}).compact
          @base.values.merge(came.reject { |key, _| @table.worked_out?(key) })
        end

        def play(script)
          script && Trial.new(@ground, @table.key, Script.from(script), clock: Clock.at(script["at"], @ground.project.conventions), trace: false).play
        end

        # @return [Found, nil]
        def played(script)
          @played.fetch(script) do
            trial = play(script)
            expect = trial && Proposal.new(trial, @table).all.select(&:usual).map(&:plain)
            @played[script] = trial && Found.new(script: script, trial: trial, expect: expect)
          end
        rescue ArgumentError, TypeError, KeyError, NoMethodError
          @played[script] = nil
        end

        # Each once, the simplest first.
        def scripts(rule, mutant)
          scenes = Scenes.new(@table, @base, @scene, rule, @seen)
          ways = ways(rule, mutant)
          Scenes::ALL.lazy.flat_map { |scene| ways.lazy.flat_map { |way| [scenes.script(scene, way)].flatten.compact } }.uniq
        end

        def ways(rule, mutant)
          own = @ways[rule.id] ||= of_rule(rule, @table)
          other = mutant.plain ? of_rule(Rules.from(mutant.plain), @table.with_rule(rule.id, Rules.from(mutant.plain))) : []
          [{}, *(own + other).uniq.first(MOST_WAYS), *plain_ways(rule), *upstream(rule)].uniq
        end

        # Texts that show what is done with spaces, capitals, words and lengths.
        TEXTS = ["  two  WORDS, here ", "Oneword", "Ab #{"cd" * 30}", "É-1 b.c/d"].freeze

        # Each field that a rule names, with another value and with none.
        def plain_ways(rule)
          keys = (rule.names(@table) | rule.fields(@table)).select { |key| @table.field(key) && !@table.given?(key) }
          numbered(rule) + keys.flat_map do |key|
            field = @table.field(key)
            texts = %w[text long_text].include?(field.type) ? TEXTS.map { |text| {key => text} } : field.open_choices.map { |choice| {key => choice} }
            [*others(field, key).map { |value| {key => value} }, {key => nil}, *texts]
          end
        end

        # Values on both sides of what is there.
        def others(field, key)
          value = Scenes.other(field, @seen[key], @base.context.clock.today)
          further = case field.type
          when "date" then [5, 40, 400].map { |days| (@seen[key] || @base.context.clock.today) + days }
          when "number" then [(@seen[key] || BigDecimal(4)) / 2, BigDecimal(0)]
          end
          [value, *further].compact
        end

        # What lets the rules act whose values it reads, such as a stamp, and besides each of its fields
        # with another value.
        def upstream(rule)
          read = Analysis::Order.through(rule.awaits(@table), [], @table)
          writers = @table.acting_rules.select { |other| other.id != rule.id && (other.writes & read).any? && other.stage != "default" }
          starts = writers.flat_map { |other| (@ways[other.id] ||= of_rule(other, @table)).first(OF_UPSTREAM) }.uniq.first(OF_UPSTREAM * 2)
          starts.flat_map { |start| [start, *plain_ways(rule).first(OF_UPSTREAM * 2).map { |way| start.merge(way) }] }
        end

        # A number that somebody types.
        def numbered(rule)
          now = (rule.stage == "number") ? @seen[rule.field] : nil
          if now.nil?
            []
          else
            [{rule.field => now.is_a?(String) ? now.gsub(/\d/, "9") : now + 90}]
          end
        end

        # The ways of all points of a rule in turn, so that each has some.
        def of_rule(rule, table)
          solver = Solver.new(table, @base.context, old: @seen)
          aims = Edges::Aims.new(table, @base, solver, @seen).of(rule)
          lists = aims.map { |aim| aim.ways.first(OF_EACH) }
          (0...OF_EACH).flat_map { |index| lists.filter_map { |ways| ways[index] } }.uniq
        rescue Expression::Invalid, KeyError, NoMethodError
          []
        end
      end
    end
  end
end
