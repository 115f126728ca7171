# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Why a field holds what it holds, or is blank: the step of the trace that decided,
      # or that nothing did.
      module ValueExplanation
        DECIDING = %w[read set refused].freeze
        # step:: its index in the outcome's steps, nil where none decided
        # words:: a sentence
        Answer = Struct.new(:step, :words, keyword_init: true)

        module_function

        # @param table [Design::Table]
        # @param outcome [Save::Outcome] with its trace
        # @param field [Design::Field]
        # @return [Answer]
        def explain(table, outcome, field)
          steps = outcome.steps
          own =
            steps.rindex do |step|
              step.key == field.key &&
                (step.result == "set" || step.result == "read" || (step.result == "refused" && step.rule.nil?))
            end
          return Answer.new(step: own, words: decided(steps[own], field, table)) if own

          if outcome.values[field.key].nil?
            undone(table, steps, field)
          else
            Answer.new(step: nil, words: Messages["bench.value_explanation.is_as_it_was_stored", field: field.label])
          end
        end

        def decided(step, field, table)
          if step.result == "refused"
            return Wording["%{field} can't be read: %{text}", field: field.label, text: step.after]
          end
          if step.result == "read"
            return Wording["%{field} was %{how}.", field: field.label, how: step.how || Wording["typed"]]
          end

          rule = table.rule(step.rule.to_s)
          source = rule ? "“#{rule.tack(table)}”" : Wording["the form"]
          source = "#{source}: #{step.how}" if step.how
          if step.after.to_s.empty?
            Wording["%{field} was cleared by %{source}.", field: field.label, source: source]
          else
            Wording["%{field} comes from %{source}.", field: field.label, source: source]
          end
        end

        # Whoever might have filled it, and why it did not.
        def undone(table, steps, field)
          writers = table.rules.select { |rule| rule.writes.include?(field.key) }
          if writers.empty?
            return Answer.new(step: nil,
              words: Messages["bench.value_explanation.no_rule_writes_it", field: field.label])
          end

          index = steps.rindex { |step| step.result == "skipped" && writers.any? { |rule| rule.id == step.rule } }
          unless index
            return Answer.new(
              step: nil,
              words: Messages["bench.value_explanation.no_rule_had_cause", field: field.label]
            )
          end

          rule = writers.find { |each| each.id == steps[index].rule }
          Answer.new(
            step: index,
            words:
              Messages[
                "bench.value_explanation.is_blank",
                field: field.label,
                rule: rule.tack(table),
                reason: steps[index].how
              ]
          )
        end
      end
    end
  end
end
