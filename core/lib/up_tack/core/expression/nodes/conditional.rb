# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # `if condition then … else …`.
        class Conditional < Node
          attr_reader :condition, :consequence, :alternative

          def initialize(condition:, consequence:, alternative:, **place)
            super(**place)
            @condition = condition
            @consequence = consequence
            @alternative = alternative
          end

          def children = [condition, consequence, alternative]
          def accept(visitor) = visitor.conditional(self)
        end
      end
    end
  end
end
