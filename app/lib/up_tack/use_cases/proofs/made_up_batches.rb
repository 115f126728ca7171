# frozen_string_literal: true

module UpTack
  module UseCases
    module Proofs
      # The latest changes that filled a table with made-up records and are not undone.
      class MadeUpBatches
        MOST = 50

        # @param workspace [Workspace]
        def initialize(workspace)
          @workspace = workspace
        end

        # @param table [String] key
        # @return [Array<Store::Batch>] the newest first
        def call(table:)
          Store::Batch
            .where(table_id: @workspace.table(table).id, undoes_id: nil)
            .where("summary LIKE 'Sample records: %' OR summary LIKE 'Made up: %'")
            .order(id: :desc)
            .limit(MOST)
            .reject(&:undone?)
        end
      end
    end
  end
end
