# frozen_string_literal: true

module UpTack
  module Core
    module Analysis
      # Fields and rules of a whole project as a graph: what each rule reads, across
      # tables too, and what it writes, in the order in which rules act.
      class RuleGraph
        # from, to:: [table, field key] or a rule's id
        # how:: "reads", "writes" or "checks"; before:: whether the value before the save is meant
        Edge = Struct.new(:from, :to, :how, :before)

        # @param project [Design::Project]
        def initialize(project)
          @project = project
        end

        # @return [Array<Edge>]
        def edges =
          @project
            .tables
            .flat_map { |table| table.rules.flat_map { |rule| read(rule, table) + written(rule, table) } }
            .uniq

        # @return [Hash{String=>Integer}] by id of a rule, its place in the order in which rules of its table act
        def places
          @project
            .tables
            .flat_map { |table| in_order(table).each_with_index.map { |rule, index| [rule.id, index + 1] } }
            .to_h
        end

        private

        def read(rule, table)
          targets = targets(rule)
          named =
            rule
              .references(table)
              .select(&:key)
              .map { |each| Edge.new([each.table, each.key], rule.id, "reads", each.before) }
          # Along a link, the link itself is read too.
          links =
            rule
              .references(table)
              .flat_map do |each|
                each.steps.map { |step| Edge.new([step.table, step.key], rule.id, "reads", each.before) }
              end
          own = rule.reads(table).map { |key| Edge.new([table.key, key], rule.id, "reads", false) }
          # A link that only says which linked records are meant is named with its own table too.
          (named + links + own)
            .select { |edge| field?(edge.from) }
            .reject { |edge| edge.from.first == table.key && targets.include?(edge.from.last) && !edge.before }
            .uniq
        end

        def written(rule, table)
          return targets(rule).map { |key| Edge.new(rule.id, [table.key, key], "writes", false) } if targets(rule).any?

          [Edge.new(rule.id, [table.key, rule.field], "checks", false)]
        end

        def field?((table, key)) = !@project.table(table)&.field(key).nil?

        def targets(rule) =
          (rule.writes + ((rule.owns? || %w[mask tidy].include?(rule.stage)) ? [rule.field] : [])).uniq

        # By stage; within one in the order of what they read.
        def in_order(table)
          acting = Placement.new(table).rules_by_stage.values.flatten.select(&:main?).map(&:rule)
          acting + (table.rules - acting)
        end
      end
    end
  end
end
