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

        # @param owner [Integer] number of the process that the copy is left to
        # @param design [Hash, nil] as it will be
        # @param renamed [Hash] see Core::Design::RenamedChoices
        # @param revision [Integer, nil] the state to which it returns, instead
        # @return [Recalculation::Ahead]
        def call(owner:, design: nil, renamed: {}, revision: nil)
          path, found =
            Store::PrivateCopy.left_to(owner) do
              @workspace.renew
              seen, before = Store::ChangeLog.latest, @workspace.revision_id
              change = ChangeDesign.new(@workspace, progress: @progress)
              revision ? change.return_to(revision) : change.follow(Core::Design::Project.reopen(design), renamed)
              {seen: seen, revision: before, places: change.calculated}
            end
          Recalculation::Ahead.new(path: path, **found)
        end
      end
    end
  end
end
