# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # A minus before a number.
        class Negation < Node
          attr_reader :operand

          def initialize(operand:, **place)
            super(**place)
            @operand = operand
          end

          def children = [operand]
          def accept(visitor) = visitor.negation(self)
        end
      end
    end
  end
end
