# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # A project made ready to be tried: its tables' plans, also as its forms begin
      # them. Compiled when something is first asked for, and then kept.
      class CompiledProject
        # @return [Design::Project]
        attr_reader :project

        # @param project [Design::Project]
        # @param plans [Hash{String=>Save::Plan}] those that are compiled already, by table
        def initialize(project, plans = {})
          @project = project
          @plans = plans.dup
          @filled = {}
        end

        # @param key [String] of a table
        # @param old [Rules::Rule] one of its rules
        # @param new [Rules::Rule, nil] in its place; nil leaves it out
        # @return [Save::CompiledProject] of the project with that; plans that it can't concern are shared
        def with_rule(key, old, new)
          changed = project.with_rule(key, old.id, new)
          # What is worked out is read wherever fields are, by other tables as well.
          return Save::CompiledProject.new(changed) if [old, new].compact.any?(&:calculates?)

          plans = project.tables.reject { |table| table.key == key }.to_h { |table| [table.key, plan(table.key)] }
          Save::CompiledProject.new(changed,
            plans.merge(key => plan(key).with_rule(changed.table(key), old, new)).compact)
        end

        # @param key [String] of a table
        # @return [Save::Plan]
        def plan(key) = @plans[key] ||= Save::Plan.new(project.table(key), project.conventions)

        # @param form [String, nil] id of a form, nil for fields alone
        # @return [Array(Save::Plan, Forms::CompiledForm)] without a form, or one that is gone,
        #   the second is nil
        def filled_in(key, form)
          found = form && project.table(key).form(form)
          return [plan(key), nil] unless found

          @filled[[key, form]] ||= begin
            design = project.table(key)
            own = found.field_items.any? { |item| item["default"] }
            [own ? Save::Plan.new(design.on(found), project.conventions) : plan(key),
              Forms::CompiledForm.new(found, design)]
          end
        end

        # @return [Array<String>] keys of the calculated fields of a table whose values
        #   follow from other records too
        def crossing(key)
          (@crossing ||= {})[key] ||= project
            .upkeep
            .calculations
            .select { |each| each.table.key == key && !each.rule.once? && crosses?(each) }
            .map { |each| each.field.key }
        end

        private

        def crosses?(calculation)
          calculation.formula.references.any? do |each|
            each.steps.any? ||
              (
                (inner = project.upkeep.calculation(each.table, each.key)) && inner.place != calculation.place &&
                  crosses?(inner)
              )
          end
        end
      end
    end
  end
end
