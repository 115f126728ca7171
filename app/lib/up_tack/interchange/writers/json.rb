# frozen_string_literal: true

module UpTack
  module Interchange
    module Writers
      # A list of objects (RFC 8259), an object a line. Numbers keep all their digits.
      class Json
        def initialize(io, columns, **)
          @io = io
          @columns = columns
          @first = true
          @io << "["
        end

        def <<(cells)
          @io << (@first ? "\n" : ",\n") << Json.object(@columns, cells)
          @first = false
          self
        end

        def finish
          @io << "\n]\n"
          self
        end

        # @return [String]
        def self.object(columns, cells) =
          "{#{columns.zip(cells).map { |name, cell| "#{JSON.generate(name)}: #{value(cell)}" }.join(", ")}}"

        def self.value(cell)
          case cell
          when BigDecimal then Core::Numbers.digits(cell)
          when Date then JSON.generate(cell.iso8601)
          when Time then JSON.generate(cell.getutc.iso8601)
          else JSON.generate(cell)
          end
        end
      end
    end
  end
end
