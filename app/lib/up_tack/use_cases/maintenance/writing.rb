# frozen_string_literal: true

module UpTack
  module UseCases
    module Maintenance
      # Which changes of many records are being written right now, told to somebody who may have to wait.
      class Writing
        # words:: who writes what; percent:: of hundred, and seconds:: that are left, each nil while nobody knows
        Told = Struct.new(:words, :percent, :seconds, keyword_init: true)

        # @param workspace [Workspace] of whoever asks
        def initialize(workspace)
          @workspace = workspace
        end

        # @return [Array<Told>]
        def call = Store::RunningBatch.includes(:batch).order(:batch_id).map { |running| told(running) }

        # @param running [Store::RunningBatch]
        # @return [Told] without the name of what whoever asks can't view
        def told(running)
          table = @workspace.project.tables.find { |each| each.id == running.batch.table_id }
          seen = table && @workspace.visibility.table?(table)
          Told.new(
            words: seen ? running.words : Core::Messages["maintenance.writing.many_records"],
            percent: running.percent,
            seconds: running.seconds_left
          )
        end

        # @param error [Store::RunningBatch::Busy]
        # @return [String] what keeps somebody from what they wanted
        def why(error)
          told = told(error.running)
          Core::Messages[
            "maintenance.writing.is_being_written",
            what: [
              told.words,
              told.percent && Core::Messages["maintenance.writing.percent", percent: told.percent],
              told.seconds && Core::Messages["maintenance.writing.left", seconds: told.seconds]
            ].compact.join(", ")
          ]
        end
      end
    end
  end
end
