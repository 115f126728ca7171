# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # `value in (a, b, c)`.
        class Membership < Node
          attr_reader :value, :options

          def initialize(value:, options:, **place)
            super(**place)
            @value = value
            @options = options
          end

          def children = [value, *options]
          def accept(visitor) = visitor.membership(self)
        end
      end
    end
  end
end
