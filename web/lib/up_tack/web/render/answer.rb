# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What came out of a draft: every field's value and origin, the messages,
      # and the trace where it was asked for.
      class Answer
        # @param workspace [Workspace]
        # @param table [Core::Design::Table]
        def initialize(workspace, table)
          @table = table
          @seen = Seen.new(workspace).fields(table)
          @plan = workspace.plan(table.key)
          @records = workspace.context.records
        end

        # @param outcome [Core::Save::Outcome]
        def of(outcome)
          @choices = UseCases::OpenChoices.of(@plan, outcome)
          {
            would_save: outcome.saved?, fields: @seen.to_h { |field| [field.key, field(field, outcome)] },
            messages: outcome.refusals.map(&:to_h), overtaken: outcome.overtaken, steps: outcome.steps.map(&:to_h)
          }
        end

        private

        def field(field, outcome)
          if outcome.unreadable.key?(field.key)
            raw = outcome.unreadable[field.key]
            return {value: nil, text: raw.is_a?(String) ? raw.scrub : "", edit: raw.is_a?(String) ? raw.scrub : "", source: "unreadable", rule: nil, words: nil, pending: false, choices: @choices[field.key]}
          end

          value = outcome.values[field.key]
          origin = outcome.origins[field.key]
          {
            value: field.values.dump(value), text: field.show(value, @records), edit: field.edit(value, @records),
            source: origin.source, rule: origin.rule, words: origin.words, pending: origin.pending == true, choices: @choices[field.key]
          }
        end
      end
    end
  end
end
