# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # `not` before a condition.
        class Inversion < Node
          attr_reader :operand

          def initialize(operand:, **place)
            super(**place)
            @operand = operand
          end

          def children = [operand]
          def accept(visitor) = visitor.inversion(self)
        end
      end
    end
  end
end
