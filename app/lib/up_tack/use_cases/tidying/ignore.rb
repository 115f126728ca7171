# frozen_string_literal: true

module UpTack
  module UseCases
    module Tidying
      # Puts suggestions aside until the text is another one.
      class Ignore
        def initialize(workspace)
          @workspace = workspace
        end

        # @param picked [Array<Hash>, nil] "id", "field" and "before" of each; nil for all there are
        # @return [Integer] how many
        def call(table:, picked: nil)
          @workspace.write do
            design = @workspace.table(table)
            chosen = picked&.to_h { |each| [[each["id"], each["field"]], each["before"]] }
            rows = []
            Suggestions
              .new(@workspace, design)
              .each do |id, field, before, _|
                rows << row(design, field, id, before) if chosen.nil? || chosen[[id, field.key]] == before
              end
            rows.each_slice(500) do |some|
              Store::DismissedSuggestion.upsert_all(some, unique_by: %i[table_id field_id record_id])
            end
            rows.length
          end
        end

        # @return [Integer] how many are put aside in a table
        def count(table:) = Store::DismissedSuggestion.where(table_id: @workspace.table(table).id).count

        # Suggests again what was put aside.
        # @return [Integer] how many
        def forget(table:)
          @workspace.write { Store::DismissedSuggestion.where(table_id: @workspace.table(table).id).delete_all }
        end

        private

        def row(design, field, id, before)
          {
            table_id: design.id,
            field_id: field.id,
            record_id: id,
            value: before,
            person_name: @workspace.person.name,
            made_at: @workspace.clock.now
          }
        end
      end
    end
  end
end
