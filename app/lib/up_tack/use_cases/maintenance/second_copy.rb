# frozen_string_literal: true

module UpTack
  module UseCases
    module Maintenance
      # Each backup once more, in a folder on another disk (UP_TACK_BACKUPS). A backup is made though that fails; what
      # is wrong is told where the backups are.
      class SecondCopy
        NOTED = "second_copy"

        # folder::; latest:: when its latest copy was made, nil where there is none; problem:: a sentence, nil where
        # all is well
        Told = Struct.new(:folder, :latest, :problem, keyword_init: true)

        # @param folder [String, nil]
        def initialize(folder = Environment.new.second_folder)
          @folder = folder
        end

        # @return [Told, nil] nil where there is no such folder
        def told
          @folder && Told.new(folder: @folder, latest: store.all.first&.made_at,
            problem: Store::Settings[NOTED].presence)
        end

        # @param path [String] of a backup
        # @param limits [Hash{Symbol=>Integer}] keep: and days:, as the backups themselves have them
        # @param now [Time]
        # @return [void]
        def add(path, limits, now:)
          return unless @folder

          store.take(path)
          store.prune(**limits, now: now)
          note("")
        rescue SystemCallError => e
          Log["Backups"].error("The second copy could not be made", e)
          note(Core::Messages["maintenance.second_copy.failed", folder: @folder, why: e.message[/\A[^@]+/].strip])
        end

        private

        def store = Store::Backups.new(folder: @folder)
        def note(text) = Store::Database.write { Store::Settings[NOTED] = text }
      end
    end
  end
end
