# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # Two values compared: = <> < <= > >=.
        class Comparison < Node
          attr_reader :sign, :left, :right

          def initialize(sign:, left:, right:, **place)
            super(**place)
            @sign = sign
            @left = left
            @right = right
          end

          def children = [left, right]
          def accept(visitor) = visitor.comparison(self)
        end
      end
    end
  end
end
