# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # Conditions joined with `and` or `or`.
        class Logic < Node
          attr_reader :word, :left, :right

          def initialize(word:, left:, right:, **place)
            super(**place)
            @word = word
            @left = left
            @right = right
          end

          def children = [left, right]
          def accept(visitor) = visitor.logic(self)
        end
      end
    end
  end
end
