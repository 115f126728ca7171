# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # A field of this record, by its key; `before` when it is read as
        # `old.key`, `outside` when it is read as `this.key` inside an aggregate.
        class Field < Node
          attr_reader :key, :before, :outside

          def initialize(key:, before: false, outside: false, **place)
            super(**place)
            @key = key
            @before = before
            @outside = outside
          end

          # @return [Integer] where the key itself begins
          def key_from = to - key.length

          def accept(visitor) = visitor.field(self)
        end
      end
    end
  end
end
