# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What deleting a record would do to others.
      module Deletion
        module_function

        # @param found [UseCases::ForeseeDeletion::Consequences]
        def of(found)
          (own, *others) = found.deleted
          along = [[own.first, own.last.drop(1)], *others].reject { |_, ids| ids.empty? }
          {
            reasons: found.reasons,
            along: along.map { |table, ids| {table: table.label, count: ids.length} },
            cleared: found.cleared.map { |table, field, ids| {table: table.label, field: field.label, count: ids.length} }
          }
        end
      end
    end
  end
end
