# frozen_string_literal: true

module UpTack
  module Services
    # Finds a field of a table.
    class FindField
      def initialize(workspace)
        @workspace = workspace
      end

      # @return [Core::Design::Field]
      # @raise [Store::NotFound]
      def call(table:, field:)
        design = @workspace.table(table)
        design.field(field) || raise(Store::NotFound, "There is no field `#{field}` in #{design.label}.")
      end
    end
  end
end
