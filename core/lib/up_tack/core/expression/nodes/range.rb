# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # `value between low and high`, both ends included.
        class Range < Node
          attr_reader :value, :low, :high

          def initialize(value:, low:, high:, **place)
            super(**place)
            @value = value
            @low = low
            @high = high
          end

          def children = [value, low, high]
          def accept(visitor) = visitor.range(self)
        end
      end
    end
  end
end
