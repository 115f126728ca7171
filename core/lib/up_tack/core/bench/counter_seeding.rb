# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # Takes note of the numbers that the records of a data set have already, so that
      # the counts of a trial go on after them.
      module CounterSeeding
        module_function

        # @param tables [Array<String>] keys of those with records
        def note(ground, world, counters, tables)
          tables.each do |key|
            next unless ground.project.table(key)

            ground
              .plan(key)
              .rules_by_stage
              .values
              .flatten
              .select { |rule| rule.rule.numbers? }
              .each { |rule| note_rule(rule, key, world, counters) }
          end
        end

        def note_rule(rule, key, world, counters)
          world
            .present(key)
            .each do |id, values|
              number = values[rule.field.key] or next
              evaluation =
                Expression::Evaluation.new(values: values, old: values, context: world.context, is_new: false, id: id)
              series, count = rule.series_and_count(evaluation, Values.show(number))
              counters.keep(rule.counting(series || ""), count, Values.show(number))
              counters.commit(id)
            end
        end
      end
    end
  end
end
