# frozen_string_literal: true

module UpTack
  module UseCases
    # Reads one record.
    class FindRecord
      def initialize(workspace)
        @workspace = workspace
      end

      # @return [Record]
      # @raise [Store::NotFound]
      def call(table:, id:)
        design = @workspace.table(table)
        values = Store::Rows.new(design).find(id) or raise Store::NotFound, "There is no record #{id} in #{design.label}; it may have been deleted."
        Record.new(id: id, version: Store::ChangeLog.version_of(design, id), values: values)
      end
    end
  end
end
