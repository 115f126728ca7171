# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # Whether the record is a new one.
        class IsNew < Node
          attr_reader :word

          def initialize(word:, **place)
            super(**place)
            @word = word
          end

          def accept(visitor) = visitor.is_new(self)
        end
      end
    end
  end
end
