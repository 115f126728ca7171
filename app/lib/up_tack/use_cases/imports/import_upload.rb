# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Imports an uploaded file, or tries it.
      class ImportUpload
        def initialize(workspace, progress: Progress.none)
          @workspace = workspace
          @progress = progress
        end

        # @param table [String] key
        # @param upload [Uploads::Upload]
        # @param options [Hash{String=>String}] how the file is to be read
        # @param overrides [Hash{String=>Object}] see SettingsOverride
        # @param keep [String] one of Bulk::KEEP
        # @return [Run::Result]
        # @raise [StandardError] as Run does
        def call(table:, upload:, options:, overrides:, keep:)
          source = upload.source(options)
          design = @workspace.table(table)
          looked = FileAnalysis.new(@workspace).call(source, design, known: upload.fields(design),
            seen: upload.seen(options), as_was: overrides["as_was"] == true)
          Run.new(@workspace, progress: @progress).call(
            source: source,
            table: table,
            settings: SettingsOverride.over(looked.settings, overrides),
            keep: keep,
            name: upload.name,
            refused: upload.refused,
            rows: looked.rows
          )
        end
      end
    end
  end
end
