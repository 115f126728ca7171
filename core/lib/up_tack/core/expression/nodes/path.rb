# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # A field of the record that a link points to: `maker.name`.
        class Path < Node
          # owner:: the link, a Field or another Path
          attr_reader :owner, :key

          def initialize(owner:, key:, **place)
            super(**place)
            @owner = owner
            @key = key
          end

          # @return [Integer] where the key itself begins
          def key_from = to - key.length

          def children = [owner]
          def accept(visitor) = visitor.path(self)
        end
      end
    end
  end
end
