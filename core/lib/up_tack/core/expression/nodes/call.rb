# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # A function and what it is given.
        class Call < Node
          attr_reader :name, :arguments

          def initialize(name:, arguments:, **place)
            super(**place)
            @name = name
            @arguments = arguments
          end

          def children = arguments
          def accept(visitor) = visitor.call(self)
        end
      end
    end
  end
end
