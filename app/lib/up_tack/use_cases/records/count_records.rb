# frozen_string_literal: true

module UpTack
  module UseCases
    module Records
      # How many records a table has.
      module CountRecords
        # @param table [Core::Design::Table]
        # @return [Integer]
        def self.call(table) = Store::RecordTable.new(table).count
      end
    end
  end
end
