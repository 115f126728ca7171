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
        design.field(field) ||
          raise(Store::NotFound, Core::Messages["common.there_is_no_field", unknown: field, table: design.label])
      end
    end
  end
end
