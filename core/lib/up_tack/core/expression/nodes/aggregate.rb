# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Nodes
        # One value out of many linked records: `sum(orders.price where open)`.
        class Aggregate < Node
          # name:: "count", "sum", "average", "min", "max" or "join"
          # source:: Segments, from the first name to the value's
          # condition:: what stands after `where`, nil without one
          # separator:: what stands between the parts of a `join`, nil elsewhere
          attr_reader :name, :source, :condition, :separator

          def initialize(name:, source:, condition: nil, separator: nil, **place)
            super(**place)
            @name = name
            @source = source
            @condition = condition
            @separator = separator
          end

          def children = [separator, condition].compact
          def accept(visitor) = visitor.aggregate(self)
        end
      end
    end
  end
end
