# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What came out of a draft: every field's value and origin, the messages,
      # and the trace where it was asked for.
      class SaveResult
        # @param workspace [Workspace]
        # @param table [Core::Design::Table]
        # @param records [#title] names linked records; the real ones by default
        def initialize(workspace, table, records: workspace.context.records)
          @workspace = workspace
          @table = table
          @visible = workspace.visibility
          @seen = @visible.fields(table)
          @plan = workspace.plan(table.key)
          @records = records
        end

        # @param answer [Services::SaveResult]
        def render(answer)
          outcome = answer.outcome
          form_state = answer.form_state || Services::FormState.build(@plan, nil, outcome, @workspace.person)
          @states = form_state.states
          @choices = Services::OpenChoices.find(@plan, outcome)
          {
            would_save: outcome.saved?,
            fields: @seen.to_h { |field| [field.key, field(field, outcome)] },
            messages: outcome.refusals.map { |each| @visible.refusal(each, @table).to_h },
            overtaken: outcome.overtaken,
            steps: outcome.steps.map { |step| SaveResult.step(step) },
            following: form_state.following,
            first: form_state.first,
            lines: lines(answer)
          }
        end

        # @param step [Core::Save::Step]
        def self.step(step) = {**step.to_h, parts: step.parts&.map { |part| SaveResult.part(part) }}

        # @param part [Core::Expression::EvaluationTree::Part]
        def self.part(part)
          {words: part.words, value: part.value, parts: part.parts.map { |each| SaveResult.part(each) }}
        end

        private

        # Of each group the answer to each row, nil for one that is taken away.
        def lines(answer)
          (answer.lines || []).map do |rows|
            rows.map { |each| each && SaveResult.new(@workspace, @workspace.table(each.table)).render(each) }
          end
        end

        def field(field, outcome)
          if outcome.unreadable.key?(field.key)
            raw = outcome.unreadable[field.key]
            return {
              value: nil,
              text: raw.is_a?(String) ? raw.scrub : "",
              edit: raw.is_a?(String) ? raw.scrub : "",
              source: "unreadable",
              rule: nil,
              words: nil,
              pending: false,
              choices: @choices[field.key],
              state: @states[field.key].to_h
            }
          end

          value = outcome.values[field.key]
          origin = outcome.origins[field.key]
          {
            value: field.values.dump(value),
            text: field.show(value, @records),
            edit: field.edit(value, @records),
            source: origin.source,
            rule: origin.rule,
            words: origin.words,
            pending: origin.pending == true,
            choices: @choices[field.key],
            state: @states[field.key].to_h
          }
        end
      end
    end
  end
end
