# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What deleting a record would do to others.
      module Deletion
        module_function

        # @param found [Records::PreviewDeletion::Consequences]
        # @param visible [Core::Design::Visibility] of whoever asks
        def render(found, visible)
          (own, *others) = found.deleted
          along = [[own.first, own.last.drop(1)], *others].reject { |table, ids| ids.empty? || !visible.table?(table) }
          {
            reasons: found.reasons,
            along: along.map { |table, ids| {table: table.label, count: ids.length} },
            cleared:
              found
                .cleared
                .select { |table, field, _| visible.table?(table) && visible.field?(field) }
                .map { |table, field, ids| {table: table.label, field: field.label, count: ids.length} }
          }
        end
      end
    end
  end
end
