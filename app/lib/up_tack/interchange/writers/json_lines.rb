# frozen_string_literal: true

module UpTack
  module Interchange
    module Writers
      # JSON Lines: an object a line.
      class JsonLines
        def initialize(io, columns, **)
          @io = io
          @columns = columns
        end

        def <<(cells)
          @io << Json.object(@columns, cells) << "\n"
          self
        end

        def finish = self
      end
    end
  end
end
