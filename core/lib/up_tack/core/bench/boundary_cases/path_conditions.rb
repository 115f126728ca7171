# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class BoundaryCases
        # What must hold so that a part of a formula is looked at at all: `and` stops at a
        # no, `or` at a yes, and of a choice only one branch is taken.
        module PathConditions
          Nodes = Expression::Nodes

          module_function

          # @param target [Nodes::Node] the part
          # @param tree [Nodes::Node] the whole
          # @return [Array<Array(Nodes::Node, Boolean)>] conditions, and what each must come to
          def to(target, tree)
            return [] if tree.equal?(target)

            child = tree.children.find { |each| within?(target, each) } or return []
            own(tree, child) + to(target, child)
          end

          # The same, and that nothing else in the formula decides: of an `and` the other part holds, of an
          # `or` it does not, so that the part alone turns the whole.
          def deciding(target, tree)
            return [] if tree.equal?(target)

            child = tree.children.find { |each| within?(target, each) } or return []
            siblings =
              if tree.is_a?(Nodes::Logic)
                (tree.children - [child]).map { |each| [each, tree.word == "and"] }
              else
                own(tree, child)
              end
            siblings + deciding(target, child)
          end

          def own(tree, child)
            case tree
            when Nodes::Logic
              child.equal?(tree.right) ? [[tree.left, tree.word == "and"]] : []
            when Nodes::Conditional
              child.equal?(tree.condition) ? [] : [[tree.condition, child.equal?(tree.consequence)]]
            else
              []
            end
          end

          def within?(target, node)
            found = false
            node.walk { |each| found ||= each.equal?(target) }
            found
          end
        end
      end
    end
  end
end
