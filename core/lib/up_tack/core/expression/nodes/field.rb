# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # A field of this record, by its key; `before` when it is read as `old.key`.
        class Field < Node
          attr_reader :key, :before

          def initialize(key:, before:, **place)
            super(**place)
            @key = key
            @before = before
          end

          def accept(visitor) = visitor.field(self)
        end
      end
    end
  end
end
