# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # What the ways of looking have in common.
      class EffectPreview
        # Linked records held while batches are gone through.
        MOST_HELD = 60_000

        def initialize(design, rule, workspace)
          @design = design
          @definition = rule
          @field = design.field(rule.field)
          @rule = rule.compile(design)
          @workspace = workspace
          @context = workspace.context
          @loose = rule.reads(design).reject { |key| design.kept?(key) }
        end

        # @return [Array<String>, nil] keys of the columns that it needs, nil for all
        def columns
          named =
            @definition
              .references(@design)
              .filter_map do |each|
                if each.steps.empty?
                  (each.key if each.table == @design.key)
                else
                  (each.steps.first.key if each.steps.first.table == @design.key)
                end
              end
          needed = [@field.key, *@definition.reads(@design), *@definition.writes, *named].uniq
          needed if needed.all? { |key| @design.kept?(key) }
        end

        # Looks at all records at once, where that is needed.
        def begin(_rows) = nil

        # Reads what the rule asks of other records, for a batch of records.
        def prepare(batch)
          return if paths.empty?

          @context = @workspace.context if @context.records.size > MOST_HELD
          @context.records.preload(paths, batch)
        end

        # @return [Array<Core::Expression::Problem>]
        def warnings = formulas.flat_map(&:warnings)

        # @return [String, nil]
        def opening = nil

        # @return [Array<String>] what makes the rule's value change by itself, in words
        def fleeting = []

        private

        # @return [Array<Core::Expression::Formula>] by which it comes to what it says
        def formulas = []

        def paths = @paths ||= formulas.flat_map { |formula| @design.neighbours.upkeep.paths_of(formula) }.uniq

        def stored(id, values) =
          values.fetch(@field.key) { @design.scope[@field.key].computed&.call(evaluation(id, values, is_new: false)) }

        def shown(value) = @field.show(value, @context.records)

        def evaluation(id, values, is_new: false)
          evaluation =
            Core::Expression::Evaluation.new(
              values: values,
              old: is_new ? {} : values,
              context: @context,
              is_new: is_new,
              id: is_new ? nil : id
            )
          @loose.reduce(evaluation) { |seen, key| seen.with(key, @design.scope[key].computed&.call(seen)) }
        end
      end
    end
  end
end
