# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # Parts the rules of a table in two: those that a new record can be taken through
      # while others of its table are still being written, since they read only the record
      # itself and tables that stay as they are, and those that have to wait their turn.
      #
      # The first rule that has to wait holds up all that come after it, but for
      # validations that read nothing of what is still to come: they set nothing, so
      # nobody can tell when they ran.
      class PlanPartition
        # @return [Hash{String=>Array<#apply>}] by key of the stage, in the order of the stages
        attr_reader :independent
        # @return [Hash{String=>Array<#apply>}] likewise
        attr_reader :dependent

        # @return [Array<Array(Design::Field, Integer)>] those kept ones that the others may still
        #   set, with their places among all; and links, which are told by the name that the linked
        #   record has when they are written
        attr_reader :open
        # @return [Array<Array(Design::Field, Integer)>] the other kept ones, likewise
        attr_reader :closed

        # @return [Boolean] true if no rule reads other records of this table, so records may be written in any order
        def order_independent? = @alone

        # @param plan [Plan]
        # @param upkeep [Analysis::DependencyGraph] of its project
        def initialize(plan, upkeep)
          @plan = plan
          @table = plan.table
          @upkeep = upkeep
          @waiting = false
          @later = []
          parts = plan.rules_by_stage.transform_values { |rules| rules.partition { |rule| independent?(rule.rule) } }
          @independent = parts.transform_values(&:first).reject { |_, rules| rules.empty? }.freeze
          @dependent = parts.transform_values(&:last).reject { |_, rules| rules.empty? }.freeze
          @open, @closed =
            plan.kept_fields.each_with_index.partition { |field, _| field.link? || @later.include?(field.key) }
          @open_fields = @open.map(&:first).freeze
          @alone =
            plan.rules_by_stage.each_value.all? { |rules| rules.none? { |rule| looks_around?(rule.rule) } } &&
            @table.fields.none? { |field| field.link? && named_by_others?(field.target) }
          freeze
        end

        # @return [Array<Design::Field>]
        attr_reader :open_fields

        # @return [Boolean] whether anything can be done ahead: not where records of the
        #   table link to one another, which other ones are there being seen then
        def any? = @independent.any? && @table.fields.none? { |field| field.target == @table.key }

        private

        # Asked in the order in which the rules act.
        def independent?(rule)
          waits = @waiting ? !(rule.validates? && apart?(rule)) : waits?(rule)
          return true unless waits

          @waiting = true
          @later |= rule.writes
          false
        end

        def apart?(rule) = !waits?(rule) && (read_by(rule) & @later).empty?

        # Numbers are counted and stamps pressed when the record is written.
        def waits?(rule) = rule.numbers? || rule.logs? || looks_around?(rule)

        def looks_around?(rule)
          rule.looks_at_other_records? || sees_others?(rule.references(@table), @table.key)
        end

        # Whether records of another table are known by what may be worked out from those of this one.
        def named_by_others?(target)
          target == @table.key ||
            @upkeep.calculations.any? do |each|
              each.table.key == target && sees_others?(each.formula.references, target)
            end
        end

        # @return [Array<String>] keys of the record's own fields, and of those from which they are worked out
        def read_by(rule)
          named =
            rule
              .references(@table)
              .select { |each| each.key && each.steps.empty? && each.table == @table.key }
              .map(&:key)
          (rule.reads(@table) + rule.fields(@table) + named)
            .uniq
            .flat_map { |key| @plan.roots.fetch(key, [key]) }
            .uniq
        end

        # Whether other records of the table are looked at, be it through what is worked out
        # here or in other tables.
        # @param home [String] key of the table whose record the references start from
        def sees_others?(references, home, passed = [])
          references.any? do |each|
            own = home == @table.key && each.table == home && each.steps.empty?
            next true if !own && [each.table, *each.steps.map(&:target)].include?(@table.key)

            place = [each.table, each.key]
            calculation = passed.include?(place) ? nil : @upkeep.calculation(*place)
            calculation && sees_others?(calculation.formula.references, each.table, [*passed, place])
          end
        end
      end
    end
  end
end
