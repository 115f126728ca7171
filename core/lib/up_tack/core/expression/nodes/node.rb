# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # A part of a formula with its place in the text. Every node answers
        # `accept(visitor)` by calling the visitor's method of its own name.
        class Node
          # Character offsets from 0, the end not included.
          attr_reader :from, :to

          def initialize(from:, to:)
            @from = from
            @to = to
          end

          # @return [Array<Node>] the parts it is made of, from left to right
          def children = []

          # @return [Boolean] whether a part of it looks at what the record was before this save
          def looks_back?
            found = false
            walk { |node| found ||= node.is_a?(IsNew) || node.is_a?(Changed) || (node.is_a?(Field) && node.before) }
            found
          end

          # Calls the block for this node and all beneath it.
          def walk(&block)
            pending = [self]
            until pending.empty?
              node = pending.pop
              block.call(node)
              pending.concat(node.children)
            end
          end
        end
      end
    end
  end
end
