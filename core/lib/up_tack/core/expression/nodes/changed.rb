# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # `changed(field)`: whether the field differs from what is stored.
        class Changed < Node
          attr_reader :field

          def initialize(field:, **place)
            super(**place)
            @field = field
          end

          def children = [field]
          def accept(visitor) = visitor.changed(self)
        end
      end
    end
  end
end
