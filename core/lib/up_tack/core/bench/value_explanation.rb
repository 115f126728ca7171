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
          return "#{field.label} can't be read: #{step.after}" if step.result == "refused"
          return "#{field.label} was #{step.how || "typed"}." if step.result == "read"

          rule = table.rule(step.rule.to_s)
          what = step.after.to_s.empty? ? "was cleared by" : "comes from"
          "#{field.label} #{what} #{rule ? "“#{rule.tack(table)}”" : "the form"}#{": #{step.how}" if step.how}."
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
