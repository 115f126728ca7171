# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # `value is blank`.
        class BlankTest < Node
          attr_reader :value

          def initialize(value:, **place)
            super(**place)
            @value = value
          end

          def children = [value]
          def accept(visitor) = visitor.blank_test(self)
        end
      end
    end
  end
end
