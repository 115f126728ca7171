# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # Texts joined with &, in their order.
        class Join < Node
          attr_reader :parts

          def initialize(parts:, **place)
            super(**place)
            @parts = parts
          end

          def children = parts
          def accept(visitor) = visitor.join(self)
        end
      end
    end
  end
end
