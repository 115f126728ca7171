# frozen_string_literal: true

module UpTack
  module UseCases
    module Design
      # Makes a design change in a copy of the database, for the sake of what is calculated by it.
      class CalculateAhead
        def initialize(workspace, progress: Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @param design [Hash] as it will be
        # @param renamed [Hash] see Core::Design::RenamedChoices
        # @param owner [Integer] number of the process that the copy is left to
        # @return [Recalculation::Ahead]
        def call(design:, renamed:, owner:)
          path, found =
            Store::PrivateCopy.left_to(owner) do
              @workspace.renew
              seen, revision = Store::ChangeLog.latest, @workspace.revision_id
              change = ChangeDesign.new(@workspace, progress: @progress)
              change.follow(Core::Design::Project.reopen(design), renamed)
              {seen: seen, revision: revision, places: change.calculated}
            end
          Recalculation::Ahead.new(path: path, **found)
        end
      end
    end
  end
end
