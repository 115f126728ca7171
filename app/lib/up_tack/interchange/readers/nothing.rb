# frozen_string_literal: true

module UpTack
  module Interchange
    module Readers
      # A table that has columns and no rows.
      class Nothing
        attr_reader :columns

        # @param names [Array<String>]
        def initialize(names)
          @columns, = Source.columns(names, "")
        end

        def format = "jsonl"
        def notes = []
        def read_as = {}
        def size = 0
        def each_row = nil
      end
    end
  end
end
