# frozen_string_literal: true

module UpTack
  module Store
    module Statements
      # A prepared statement. Rebinds only parameters that changed; identity is trusted only for frozen objects.
      class PreparedStatement
        NONE = [].freeze

        def initialize(statement)
          @statement = statement
          @bound = []
        end

        # @return [Array<Array>] rows
        def run(values)
          bind(values)
          row = @statement.step or return NONE
          rows = [row]
          while (row = @statement.step)
            rows << row
          end
          rows
        ensure
          @statement.reset!
        end

        def close = @statement.closed? || @statement.close

        private

        def bind(values)
          count = values.length
          index = 0
          while index < count
            value = values[index]
            index += 1
            next if value.equal?(@bound[index]) && value.frozen? && @bound.length > index

            @statement.bind_param(index, value)
            @bound[index] = value
          end
        end
      end
    end
  end
end
