# frozen_string_literal: true

module UpTack
  module UseCases
    module Maintenance
      # Undoes changes of many records that processes have left which are gone: their records, and then the tables that
      # they have made for them.
      module UndoLeft
        module_function

        # @param patient [Boolean] whether to wait for those that are still at it
        # @return [Array<String>] what was undone, in words
        def call(patient: false)
          Services::Rollback.left(patient: patient) do |running, workspace|
            tables(workspace, running.revision_id) if running.revision_id
          end
        end

        # Undoes a change of the design, unless there was another one since.
        # @param workspace [Workspace]
        # @param revision [Integer] that it made
        # @return [void]
        def tables(workspace, revision)
          workspace.renew
          return unless workspace.revision_id == revision && Store::Revision.to_undo&.id == revision

          Design::ChangeDesign.new(workspace).undo
        end
      end
    end
  end
end
