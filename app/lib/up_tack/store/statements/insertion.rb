# frozen_string_literal: true

module UpTack
  module Store
    module Statements
      # Adds rows to a table. What SQLite does for a statement as a whole, as for the triggers
      # that guard a table, takes as long as adding a row; so several are added by one.
      class Insertion
        # Rows added by one statement, and values that it takes at most.
        TOGETHER = 20
        MOST_VALUES = 10_000

        # @return [String] adds one row
        attr_reader :one
        # @return [String, nil] adds TOGETHER rows, nil where they have too many columns
        attr_reader :several

        # @param table [String] quoted
        def self.nothing(table) = new(table, [], "INSERT INTO #{table} DEFAULT VALUES")

        # @param table [String] quoted
        # @param columns [Array<String>] quoted
        # @param one [String] adds one row, where that is not said by the columns
        # @param already [String] what becomes of a row that is there already: ABORT, or IGNORE
        def initialize(table, columns, one = nil, already: "ABORT")
          head = "INSERT OR #{already} INTO #{table} (#{columns.join(", ")}) VALUES "
          row = "(#{(["?"] * columns.length).join(", ")})"
          @one = one || "#{head}#{row}".freeze
          @several = "#{head}#{([row] * TOGETHER).join(", ")}".freeze if columns.any? &&
            columns.length * TOGETHER <= MOST_VALUES
          freeze
        end
      end
    end
  end
end
