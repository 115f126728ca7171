# frozen_string_literal: true

module UpTack
  module UseCases
    module Proofs
      # Makes up records that one chosen rule refuses and no other, to try an import or a
      # message with. Since they are refused, none of them is saved; they come as what
      # would be typed.
      class MakeFailing
        MOST = 1_000
        # Tries for each record that is wanted.
        TRIES = 6

        # typed:: raw input by field key; shown:: the same in reading formats
        # message:: what the rule says
        Failing = Struct.new(:typed, :shown, :message, keyword_init: true)

        def initialize(workspace)
          @workspace = workspace
        end

        # @return [Array<Failing>]
        # @raise [Core::Invalid, Store::NotFound]
        def call(table:, rule:, count:, seed:)
          design = @workspace.table(table)
          meant = design.rule(rule) or
            raise Store::NotFound, Core::Messages["proofs.make_failing.there_is_no_such_rule", design: design.label]
          unless meant.outcomes(design).any? { |key, _, marks| marks.include?("refused") || key == "refused" }
            Core::Invalid.because(Core::Messages["proofs.make_failing.rule_refuses_nothing"], part: "rule")
          end
          unless count.is_a?(Integer) && count.between?(1, MOST)
            Core::Invalid.because(
              "1 to #{Core::Values::Plain.grouped(MOST)} failing records can be created at once.",
              part: "count"
            )
          end

          maker = GenerateRecords.new(@workspace).maker(design, seed)
          context = @workspace.context(counters: Core::Bench::Counters.new(Store::Counters.new))
          found = []
          (count * TRIES).times do
            break if found.length >= count

            failing(design, meant, maker, context, found.length)&.then { |each| found << each }
          end
          found
        end

        private

        # @param turn [Integer] so that different ways of failing take turns
        def failing(design, rule, maker, context, turn)
          values = maker.values
          plan = @workspace.plan(design.key)
          outcome = saved(plan, design, values, context)
          assignments = changes(design, rule, values, outcome, context)
          assignments
            .rotate(assignments.empty? ? 0 : turn % assignments.length)
            .each do |change|
              changed = values.merge(change)
              typed = Core::Bench::Samples::RecordGenerator.typed(design, changed)
              refusals = saved(plan, design, changed, context).refusals
              if refusals.any? && refusals.all? { |each| each.rule == rule.id }
                return Failing.new(typed: typed, shown: shown(design, changed, context),
                  message: refusals.first.message)
              end
            end
          nil
        end

        def saved(plan, design, values, context)
          Core::Save
            .call(
              plan,
              Core::Save::Draft.new(typed: Core::Bench::Samples::RecordGenerator.typed(design, values), stored: nil),
              context
            )
            .tap { context.counters.drop }
        end

        def changes(design, rule, values, outcome, context)
          seen = values.merge(outcome.values.compact.reject { |key, _| design.worked_out?(key) })
          base = Struct.new(:values, :records, :context).new(values, {}, context)
          key = rule.masks? ? "unfit" : "refused"
          solver = Core::Bench::Solver.new(design, context)
          found = rule.cases(key, Core::Bench::BoundaryCases::PointCases.new(design, base, solver, seen))
          found = taken(design, rule) if rule.compares_records?
          found.select { |assignment|
            assignment.keys.all? { |each|
              design.field(each)
            } && assignment.values.none?(:untyped)
          }
        end

        # What other records have already, the latest of them.
        def taken(design, rule)
          rows = Store::RecordTable.new(design).page(descending: true, limit: 200).map(&:last)
          rows
            .select { |values| rule.keys.all? { |key| !values[key].nil? } }
            .first(5)
            .map { |values| values.slice(*rule.keys) }
        end

        def shown(design, values, context) =
          values.to_h do |key, value|
            [key, value.is_a?(String) ? value : design.field(key).show(value, context.records)]
          end
      end
    end
  end
end
