# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class BoundaryCases
        class Histories
          # Two linked records, wherever some are added up or compared.
          module Linked
            private

            # Two records that count, the greater first and last, wherever some are added up or compared.
            def linked
              aggregates.flat_map do |node|
                step, *further = Expression::Source.new(@table.scope, node.source).steps
                next [] if further.any?

                other = @table.neighbours.tables.fetch(step.table)
                one = @solver.counted(node, other)
                two = one.merge(greater(node, other, one))
                [["last", one, two], ["first", two, one]].map do |place, *pair|
                  [Wording["two linked records, the greater %{place}", place: place], :typed,
                    {"children" => [step.table, step.key, *pair]}]
                end
              end
            end

            def aggregates
              found = []
              @rule.formula_parts.each_value { |formula| Expression.parse(formula).walk { |node| found << node } }
              found.grep(Expression::Nodes::Aggregate)
            end

            # Another value of what is added up, or of what that is calculated from.
            def greater(node, other, one)
              value = Expression::Source.new(@table.scope, node.source).value
              return {} unless value.one?

              keys = Analysis::TopologicalSort.through([value.first.key], [], other)
              keys = keys.select { |key| (field = other.field(key)) && !other.rule_owned?(key) && !field.link? }
              keys.first(1).to_h { |key| [key, Scenes.other(other.field(key), one[key], @base.context.clock.today)] }
            end
          end
        end
      end
    end
  end
end
