# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Looks at all rows of an uploaded file, so that what is suggested holds for each of them.
      class LookAtFile
        # @param workspace [Workspace]
        # @param progress [Progress]
        def initialize(workspace, progress: Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @param upload [Uploads::Upload] keeps what was seen
        # @param options [Hash{String=>String}] how the file is to be read
        # @return [void]
        # @raise [Interchange::Unreadable, Progress::Stopped]
        def call(upload:, options:)
          rows = LookAtRows.new(@workspace.project.conventions, name: upload.name, progress: @progress)
          upload.keep(rows.call(upload.source(options), whole: true), options)
          nil
        end
      end
    end
  end
end
