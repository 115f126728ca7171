# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Records at the edges, from the rules themselves: for each limit just below, on and
      # just above; each choice and one that there is not; both sides of every condition;
      # what each rule does and does not do. As few as show all of it.
      class BoundaryCases
        # words:: sentences of what it tests; script:: plain, by itself
        # trial:: played, for its outcome; points:: [rule, point] that it shows
        # stage:: of the first rule that it tests; mere:: whether it only asks the calendar, or a list
        Candidate = Struct.new(:words, :script, :trial, :points, :stage, :mere, keyword_init: true)

        # script:: plain; points:: keys of those that were seen, by rule; trial:: played
        # assignment:: the changes of the base record, nil where its story is longer
        Played =
          Struct.new(:script, :points, :trial, :assignment) do
            # @return [Boolean] whether a point of a rule was seen, by their keys
            def shows?(rule, point) = points.fetch(rule, []).include?(point)
          end

        # Scenes played at most, so that a table of hundreds of rules has an end too.
        MOST = 4_000
        # Ways tried for each aim.
        WAYS = 4

        # @param ground [Save::CompiledProject]
        # @param table [Design::Table]
        # @param clock [Design::ScriptClock]
        # @param records [Hash{String=>Hash{Integer=>Hash}}] some real ones that links can lead to
        # @param profiles [Hash{String=>Samples::Profile}]
        def initialize(ground, table, clock:, records: {}, profiles: {})
          @ground = ground
          @table = table
          @clock = clock
          @base = BaseRecord.new(ground, table, records: records, clock: clock, profiles: profiles)
          @index = PointIndex.new(ground.project)
          @scene = ScriptBuilder.new(table, @base, clock, ground.project.conventions)
          @played = {}
          @by_rule = Hash.new { |rules, rule| rules[rule] = [] }
        end

        # @param rules [Array<Rules::Rule>] of the table, all by default
        # @param only [Proc, nil] takes a rule and a point and says whether it is wanted
        # @return [Array<Candidate>]
        def candidates(rules = @table.rules, only: nil)
          seen = seen_values(play({})&.trial)
          aims = Targets.new(@table, @base, @base.solver(@table, seen), seen)
          wanted =
            rules
              .flat_map { |rule| aims.find(rule) }
              .select { |aim| only.nil? || (aim.point && only.call(aim.rule, aim.point)) }
          exact, loose = wanted.partition(&:exact)
          hits = exact.filter_map { |aim| hit(aim) }
          hits += loose.filter_map { |aim| shown(aim) || hit(aim) }
          chosen = fewest(hits)
          ordered(only ? chosen : chosen + more(rules, chosen, seen))
        end

        # @return [Boolean] whether a record that passes was found to start from
        def sound? = @base.sound

        private

        # The base record with what rules gave it; what is worked out is left open, so that it follows.
        def seen_values(trial)
          came = (trial ? trial.last.outcome&.values || {} : {}).compact
          @base.values.merge(came.reject { |key, _| @table.worked_out?(key) })
        end

        # What no point of a rule tells of: its settings, and small mistakes in its formulas.
        def more(rules, chosen, seen)
          kept = chosen.to_h { |each| [each.trial, true] }.compare_by_identity
          contrasts =
            Contrasts.new(
              @table,
              Assignments.new(@table, @base, seen),
              ->(assignment, lasting) { lasting ? play_later(assignment, seen) : play(assignment) }
            )
          histories = Histories.new(@table, @base, @scene, @base.solver(@table, seen), seen)
          hits =
            rules.flat_map do |rule|
              with_history = first_showing(histories.find(rule, by_point(rule)))
              shown = @by_rule[rule.id].select { |played| kept.key?(played.trial) }
              (with_history + contrasts.find(rule, shown + with_history.map(&:last))).map do |words, played|
                [beyond(rule, words), played]
              end
            end
          by_played(hits.reject { |_, played| kept.key?(played.trial) }).map do |played, group|
            candidate(played, group)
          end
        end

        # Changes that come to a record that was saved before; where it could not be saved as it should be
        # then, it is with what lets the other rules pass it.
        def play_later(assignment, seen)
          played = play(assignment, lasting: true)
          refused =
            played&.trial&.moments&.find do |moment|
              moment.act&.fetch("do") == "save" && moment.state == "refused" && moment.outcome
            end
          return played unless refused && assignment["first"]

          solver = @base.solver(@table, seen)
          first =
            refused
              .outcome
              .refusals
              .reduce(assignment["first"]) { |kept, refusal| kept.merge(accepted(refusal, kept, solver, seen)) }
          (first == assignment["first"]) ? played : play(assignment.merge("first" => first), lasting: true)
        end

        # @return [Hash] further changes by which a check lets a record pass, without those that are wanted
        def accepted(refusal, wanted, solver, seen)
          rule = refusal.rule && @table.rule(refusal.rule)
          return {} unless rule&.checks?

          assignments = solver.assignments_for(Expression.parse(rule.attributes["formula"]), true, seen.merge(wanted))
          assignments.find { |assignment| assignment.keys.all? { |key| @table.field(key) && !wanted.key?(key) } } || {}
        end

        # What is told in the same words are several ways to show one thing: the first that does.
        def first_showing(histories)
          histories
            .group_by(&:first)
            .filter_map do |words, all|
              found = all.lazy.filter_map { |_, script| played(script) }
              first = found.find { |played| played.trial.last.state == "refused" } || found.first
              first && [words, first]
            end
        end

        def by_point(rule)
          cleanest =
            @by_rule[rule.id]
              .select(&:assignment)
              .sort_by
              .with_index { |played, index| [refusals(played).count { |each| each.rule != rule.id }, index] }
          cleanest.each_with_object({}) do |played, found|
            played.points[rule.id].each { |point| found[point] ||= played }
          end
        end

        def beyond(rule, words)
          Targets::Aim.new(
            rule: rule,
            words: Targets.titled(rule, @table, words),
            assignments: [],
            exact: true,
            again: false,
            lasting: false
          )
        end

        # What was played for an edge shows much else, too.
        def shown(aim)
          found =
            @played.each_value.find do |played|
              shows?(aim, played) && (refusals(played).map(&:rule) - [aim.rule.id]).empty?
            end
          found && [aim, found]
        end

        # The first way that shows what is aimed at: in a new record, in one that was saved
        # before, or between two.
        # @return [Array(Targets::Aim, Played)]
        def hit(aim)
          aim
            .assignments
            .first(WAYS)
            .each do |assignment|
              scenes(aim).each do |options|
                played = play(assignment, **options)
                return aim, alone(aim, assignment, options, played) if played && shows?(aim, played)
              end
            end
          nil
        end

        # Retry with the fields of other failing rules blanked, to isolate this rule.
        def alone(aim, assignment, options, played)
          others = refusals(played).filter_map { |each| each.rule unless each.rule == aim.rule.id }
          return played if others.empty?

          needed = @table.rules.select(&:requires?).map(&:field) | assignment.keys | aim.rule.fields(@table)
          loose = others.flat_map { |id| (rule = @table.rule(id)) ? rule.fields(@table) : [] }.uniq - needed
          again = play(assignment.merge(loose.reject { |key|
            @table.rule_owned?(key)
          }.to_h { |key| [key, nil] }), **options)
          (again && shows?(aim, again) && refusals(again).length < refusals(played).length) ? again : played
        end

        def refusals(played) = played.trial.last.outcome ? played.trial.last.outcome.refusals : []

        def scenes(aim)
          return [{again: true}] if aim.again

          aim.lasting ? [{lasting: true}, {}] : [{}, {lasting: true}]
        end

        def shows?(aim, played) = aim.point.nil? || played.shows?(aim.rule.id, aim.point.key)

        # @return [Played, nil]
        def play(assignment, **options)
          script = @scene.script(assignment, **options)
          script && played(script, assignment)
        end

        # @return [Played, nil] nil once as many were played as may be
        def played(script, assignment = nil)
          return @played[script] if @played.length >= MOST

          @played[script] ||= begin
            probe = Probe.new
            clock = Design::ScriptClock.at(script["at"], @ground.project.conventions)
            trial = Trial.new(@ground, @table.key, Design::Script.from(script), clock: clock, probe: probe,
              trace: false).play
            trial.look
            points = @index.reached(probe.notes)
            made = Played.new(script, points, trial, assignment)
            points.each_key { |rule| @by_rule[rule] << made }
            made
          end
        end

        # Those that are at an edge are kept, alike ones as one; of what else is wanted only
        # what these do not show already, the most telling first.
        def fewest(hits)
          exact, loose = hits.partition { |aim, _| aim.exact }
          chosen = by_played(exact).map { |played, group| candidate(played, group) }
          shown = chosen.flat_map { |each| each.points.to_a }.to_set
          open = loose.reject { |aim, _| aim.point.nil? || shown.include?(place(aim)) }
          until open.empty?
            played, group = by_played(open).max_by { |each, _| open.count { |aim, _| shows?(aim, each) } }
            chosen << candidate(played, group)
            open = open.reject { |aim, _| shows?(aim, played) }
          end
          chosen
        end

        # Validations first, and what only asks the calendar last.
        STAGES = %w[validate mask fill calculate number log tidy default].freeze

        def ordered(chosen)
          chosen.sort_by.with_index do |each, index|
            [each.mere ? 1 : 0, STAGES.index(each.stage) || STAGES.length, index]
          end
        end

        def by_played(hits) =
          hits.each_with_object({}.compare_by_identity) { |(aim, played), groups| (groups[played] ||= []) << aim }

        def place(aim) = [aim.rule.id, aim.point.key]

        def candidate(played, aims)
          points = played.points.flat_map { |rule, keys| keys.map { |key| [rule, key] } }.to_set
          words = aims.map(&:words).uniq { |each| each.delete("“”") }
          Candidate.new(
            words: words,
            script: played.script,
            trial: played.trial,
            points: points,
            stage: aims.first.rule.stage,
            mere: aims.none?(&:point)
          )
        end
      end
    end
  end
end
