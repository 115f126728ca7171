# frozen_string_literal: true

module UpTack
  module UseCases
    # Writes many records in one transaction, each through all stages and with its
    # own entry in the log. Those that are refused are left out and told.
    class SaveRecords
      # saved:: numbers of the records, nil where one is refused, in the order given
      # refused:: [position, refusals] of those that are not written
      Result = Struct.new(:saved, :refused, keyword_init: true)

      # @param workspace [Workspace]
      # @param way [String] how they come in, for the change log
      # @param batch [Store::Batch, nil] the greater change that they are part of
      # @param progress [Upkeep::Progress]
      def initialize(workspace, way:, batch: nil, progress: Upkeep::Progress.none)
        @workspace = workspace
        @way = way
        @batch = batch
        @progress = progress
      end

      # @param table [String] key
      # @param drafts [Array<Hash>] typed: and id: of each, as SaveRecord takes them
      # @return [Result]
      # @raise [Upkeep::Stopped]
      def call(table:, drafts:)
        @workspace.write do
          writer = RecordWriter.new(@workspace, table, way: @way, batch: @batch, holding: true)
          result = Result.new(saved: [], refused: [])
          @progress.begin(@workspace.table(table).label, "Records", drafts.length)
          drafts.each_with_index do |draft, index|
            answer = write(writer, table, **draft)
            result.saved << (answer.record.id if answer.state == :saved)
            result.refused << [index, answer.outcome.refusals] unless answer.state == :saved
            @progress.advance(1)
          end
          writer.finish
          result
        end
      end

      private

      def write(writer, table, typed:, id: nil, **more)
        writer.write(typed, stored: id && FindRecord.new(@workspace).call(table: table, id: id), **more)
      end
    end
  end
end
