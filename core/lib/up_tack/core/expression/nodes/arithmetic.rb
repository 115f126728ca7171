# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # Two numbers (or days and dates) and the sign between them: + - * / mod ^.
        class Arithmetic < Node
          attr_reader :sign, :left, :right

          def initialize(sign:, left:, right:, **place)
            super(**place)
            @sign = sign
            @left = left
            @right = right
          end

          def children = [left, right]
          def accept(visitor) = visitor.arithmetic(self)
        end
      end
    end
  end
end
