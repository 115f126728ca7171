# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # Something about the acting person: `user.name`.
        class Person < Node
          attr_reader :name

          def initialize(name:, **place)
            super(**place)
            @name = name
          end

          def accept(visitor) = visitor.person(self)
        end
      end
    end
  end
end
