# frozen_string_literal: true

module UpTack
  module Store
    # A suggestion that somebody does not want: it stays away until the value is
    # another one.
    class DismissedSuggestion < SystemRecord
      self.table_name = "up_tack_ignored"

      # @return [Hash{Array(String, Integer)=>String}] values by field id and record number
      def self.in_table(table)
        where(table_id: table.id)
          .pluck(:field_id, :record_id, :value)
          .to_h { |field, record, value| [[field, record], value] }
      end
    end
  end
end
