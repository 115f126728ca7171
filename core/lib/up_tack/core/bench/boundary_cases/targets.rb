# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class BoundaryCases
        # What is to be tried of one rule: for each of its points the changes of the base
        # record that might show it; exact where the edge itself is meant and no other
        # record will do.
        class Targets
          # point:: the CoverageTargets::Point; rule:: the Rule; words:: what it tests
          # assignments:: [Hash] changes of the base record; exact:: see above
          # again:: whether two records are made, alike but for the second's changes
          # lasting:: whether it is about a record that is stored first, and then changed
          Aim = Struct.new(:rule, :point, :words, :assignments, :exact, :again, :lasting, keyword_init: true)

          # @param table [Design::Table]
          # @param base [BaseRecord]
          # @param solver [Solver]
          # @param seen [Hash{String=>Object}] the base record as it comes out
          def initialize(table, base, solver, seen)
            @table = table
            @base = base
            @solver = solver
            @seen = seen
          end

          # @param rule [Rules::Rule]
          # @return [Array<Aim>]
          def find(rule)
            points = CoverageTargets.all(rule, @table)
            found =
              points.map do |point|
                Aim.new(
                  rule: rule,
                  point: point,
                  words: words(rule, point),
                  assignments: assignments_for(rule, point),
                  exact: exact?(point),
                  **scene(rule, point)
                )
              end
            found + ExtraCases.new(@table, @base, @solver, @seen).find(rule)
          end

          # @return [String] by which a rule is told: its field, and what its tack says
          def self.name(rule, table) = "#{table.field(rule.field).label}, #{rule.tack(table)}"

          # What differs comes first: many records of one rule stand beneath each other.
          # @param what [String] what a record tests of a rule
          # @return [String] as its proof is called
          def self.titled(rule, table, what) = "#{what[0].upcase}#{what[1..]}: #{name(rule, table)}"

          private

          def words(rule, point) = Targets.titled(rule, @table, point.words)
          def exact?(point) = point.key.match?(/ (below|on|above)\z/)

          # Numbers that are kept, locks and stamps show on a record that was there before.
          def scene(rule, point)
            return {again: true, lasting: false} if rule.compares_records? && point.key == "refused"

            {
              again: false,
              lasting:
                rule.needs_stored_record? ||
                  (rule.numbers? && point.key == "idle") ||
                  (rule.calculates? && rule.once? && point.key == "idle")
            }
          end

          def assignments_for(rule, point)
            return children(point) if point.inside
            return under_conditions(rule, reached(point), point.part) if point.node

            found = of_kind(rule, point.key)
            found.empty? ? [{}] : found
          end

          # What is under a condition is only looked at while that holds.
          def under_conditions(rule, assignments, part)
            conditions =
              rule.formula_parts.slice("when", "reaches").except(part).values.map { |text| Expression.parse(text) }
            return assignments if conditions.empty?

            assignments.flat_map do |assignment|
              conditions.reduce([assignment]) do |all, tree|
                all.flat_map do |each|
                  @solver.assignments_for(tree, true, @seen.merge(each)).first(2).map { |more| more.merge(each) }
                end
              end
            end
          end

          # A part of a formula is looked at only while those before it lead there.
          def reached(point)
            tree = Expression.parse(point.notes.first.first)
            starts =
              [PathConditions.deciding(point.node, tree), PathConditions.to(point.node, tree)].uniq
                .flat_map { |conditions| holding(conditions) }
            starts.uniq.flat_map { |start|
              of_node(point, @seen.merge(start)).map { |assignment|
                start.merge(assignment)
              }
            }.uniq
          end

          # @param conditions [Array<Array(Nodes::Node, Boolean)>]
          # @return [Array<Hash>] changes by which each comes to what is wanted
          def holding(conditions)
            conditions.reduce([{}]) do |assignments, (node, wanted)|
              assignments
                .flat_map do |assignment|
                  @solver.assignments_for(node, wanted, @seen.merge(assignment)).first(2).map { |more|
                    assignment.merge(more)
                  }
                end
                .first(4)
            end
          end

          # What is inside an aggregate is looked at on a linked record.
          def children(point)
            source = Expression::Source.new(@table.scope, point.inside.source)
            return [] if source.steps.length > 1

            step = source.steps.last
            other = @table.neighbours.tables.fetch(step.table)
            solver = Solver.new(other, @base.context, free: true)
            blank = other.fields.to_h { |field| [field.key, nil] }
            leading = PathConditions.to(point.node, point.inside.condition)
            starts =
              leading.reduce([{}]) do |assignments, (node, wanted)|
                assignments.flat_map do |assignment|
                  solver.assignments_for(node, wanted, blank.merge(assignment)).first(2).map { |more|
                    assignment.merge(more)
                  }
                end
              end
            # What is added up or compared is there, so that it shows whether the record counts.
            value = source.value.one? ? other.field(source.value.first.key) : nil
            own = value ? filled(other, value.key) : {}
            starts.flat_map do |start|
              Targets
                .new(other, @base, solver, blank.merge(start))
                .of_node(point, blank.merge(start))
                .map { |assignment| {"children" => [step.table, step.key, own.merge(start, assignment)]} }
            end
          end

          # What a field is worked out from has some value, so that the field has one.
          def filled(table, key)
            keys =
              Analysis::TopologicalSort
                .through([key], [], table)
                .select { |each| table.field(each) && !table.rule_owned?(each) && !table.field(each).link? }
            keys.to_h { |each| [each, Samples::Values.usual(table.field(each))] }
          end

          public

          # @return [Array<Hash>] changes by which a part of a formula shows what the point says
          def of_node(point, seen)
            side = point.key.split.last
            node = point.node
            return Targets.new(@table, @base, @solver, seen).of_node(point, seen) unless seen.equal?(@seen)

            case node
            when Expression::Nodes::Comparison
              compared(node, side) + grown(node, side)
            when Expression::Nodes::Membership
              if side == "none"
                @solver.assignments_for(node, false, @seen)
              else
                @solver.assignments_relating(node.value, node.options[point.key[/option (\d+)/, 1].to_i - 1], "on",
                  @seen)
              end
            when Expression::Nodes::BlankTest
              @solver.assignments_for(node, side == "blank", @seen)
            when Expression::Nodes::Conditional
              @solver.assignments_for(node.condition, side == "then", @seen)
            else
              limit(point, node, side)
            end
          end

          private

          # A count goes up by a linked record more.
          def grown(node, side)
            aggregate =
              [node.left, node.right].find do |each|
                each.is_a?(Expression::Nodes::Aggregate) && each.name == "count" && each.condition.nil?
              end
            return [] unless aggregate && side != "below"

            step = Expression::Source.new(@table.scope, aggregate.source).steps.last
            sample = @base.sample(@table.neighbours.tables.fetch(step.table))
            [{}, sample].map { |values| {"children" => [step.table, step.key, values]} }
          end

          def compared(node, side)
            if side == "off"
              return @solver.assignments_for(
                Expression::Nodes::Comparison.new(
                  sign: "<>",
                  left: node.left,
                  right: node.right,
                  from: node.from,
                  to: node.to
                ),
                true,
                @seen
              )
            end

            @solver.assignments_relating(node.left, node.right, side, @seen)
          end

          # The end of a range, or a condition as a whole.
          def limit(point, node, side)
            return @solver.assignments_for(node, side == "yes", @seen) if %w[yes no].include?(side)

            range = nil
            Expression
              .parse(point.notes.first.first)
              .walk do |each|
                range ||= each if each.is_a?(Expression::Nodes::Range) &&
                  (each.low.equal?(node) || each.high.equal?(node))
              end
            range ? @solver.assignments_relating(range.value, node, side, @seen) : []
          end

          def of_kind(rule, key) = rule.cases(key, PointCases.new(@table, @base, @solver, @seen))
        end
      end
    end
  end
end
