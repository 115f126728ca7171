# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What came of a script on the bench: the record as a form shows it, each act, the
      # last save with its trace, and why each field holds what it holds.
      class Trial
        # @param workspace [Workspace]
        # @param table [Core::Design::Table]
        def initialize(workspace, table)
          @workspace = workspace
          @table = table
        end

        # @param played [UseCases::Proofs::Play::Played]
        # @param look_at [Integer, nil] the act whose save is told, from 1; the last by default
        def render(played, look_at: nil)
          trial = played.trial
          moment = (look_at && trial.moments[look_at - 1]) || trial.last
          {
            answer: answer(trial, played),
            acts: trial.moments.select(&:act).map { |each| act(each) },
            outcome: outcome(moment, trial),
            steps: (moment.outcome&.steps || []).map { |step| SaveResult.step(step) },
            why: why(moment.outcome),
            clock: trial.clock.to_s,
            person: person(trial.person),
            record: trial.id,
            script: played.script,
            verdicts: played.verdicts.map(&:to_h),
            proposed:
              played.proposed.map { |each| {expectation: each.attributes, words: each.words, usual: each.usual} }
          }
        end

        private

        def answer(trial, played)
          cursor = trial.cursor
          form_state =
            Services::FormState.new(states: trial.states, following: cursor ? cursor.all : {}, first: cursor&.first)
          found =
            Services::SaveResult.new(
              state: :saved,
              outcome: trial.live,
              form_state: form_state,
              table: @table.key,
              lines: lines(trial)
            )
          {**SaveResult.new(@workspace, @table, records: trial.world).render(found),
            overtaken: overtaken(trial, played)}
        end

        # What the rows beneath the record come to.
        def lines(trial)
          trial
            .lines
            .zip(trial.line_tables)
            .map do |rows, table|
              rows.map do |outcome|
                outcome &&
                  Services::SaveResult.new(state: outcome.saved? ? :saved : :refused, outcome: outcome, table: table)
              end
            end
        end

        # What was typed last and does not count any more, since a rule wrote over it.
        def overtaken(trial, played)
          acts = played.script["acts"] || []
          open = acts.drop((acts.rindex { |act| %w[save new copy delete put_back].include?(act["do"]) } || -1) + 1)
          open
            .flat_map { |act| [act["field"], *act["values"]&.keys].compact }
            .uniq
            .reject { |key| trial.typed.key?(key) }
        end

        def act(moment) =
          {do: moment.act["do"], state: moment.state, message: phrase(moment), at: moment.at.to_s, record: moment.id}

        def phrase(moment)
          return moment.message if moment.message

          refusals = (moment.outcome && !moment.outcome.saved?) ? moment.outcome.refusals : []
          refusals.any? ? refusals.map(&:message).join(" ") : nil
        end

        def outcome(moment, trial)
          {
            state: moment.state,
            message: moment.message,
            messages: (moment.outcome&.refusals || []).map(&:to_h),
            thought_of: moment.act.nil?,
            changes:
              moment.logged.map do |change|
                {
                  field: change.field.key,
                  label: change.field.label,
                  before: change.field.show(change.before, trial.world),
                  after: change.field.show(change.after, trial.world),
                  rule: change.rule
                }
              end
          }
        end

        def why(outcome)
          return {} unless outcome

          @table.fields.to_h { |field| [field.key, Core::Bench::ValueExplanation.explain(@table, outcome, field).to_h] }
        end

        def person(person) = {name: person.name.to_s, role: person.role}
      end
    end
  end
end
