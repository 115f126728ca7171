# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # A number, a text, yes, no or blank, as it stands.
        class Literal < Node
          attr_reader :value

          def initialize(value:, **place)
            super(**place)
            @value = value
          end

          def accept(visitor) = visitor.literal(self)
        end
      end
    end
  end
end
