# frozen_string_literal: true

module UpTack
  module UseCases
    # Deletes a record; the change log keeps what it held.
    class DeleteRecord
      def initialize(workspace, way: "form")
        @workspace = workspace
        @way = way
      end

      # @param version [Integer, nil] the version that the person saw
      # @return [Answer] :saved or :conflict
      # @raise [Store::NotFound]
      def call(table:, id:, version: nil)
        @workspace.write do
          design = @workspace.table(table)
          stored = FindRecord.new(@workspace).call(table: table, id: id)
          theirs = version ? Store::ChangeLog.since(design, id, version) : []
          next Answer.new(state: :conflict, record: stored, theirs: theirs) if theirs.any?

          Store::Rows.new(design).delete(id)
          log(design, stored)
          Answer.new(state: :saved, record: stored)
        end
      end

      private

      def log(design, stored)
        changes = design.fields.filter_map do |field|
          value = stored.values[field.key]
          Core::Save::Change.new(field: field, before: value, after: nil) unless value.nil?
        end
        Store::ChangeLog.add(
          table: design, record_id: stored.id, action: "delete", changes: changes, person: @workspace.person, way: @way,
          title: Titles.of(design, stored.id, stored.values), at: @workspace.clock.now, revision_id: @workspace.revision_id
        )
      end
    end
  end
end
