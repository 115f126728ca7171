# frozen_string_literal: true

module UpTack
  module UseCases
    module Bulk
      # Saves many records as one change, and keeps what became of each in its place.
      class WriteEach
        # What became of one. state:: "saved", "unchanged", "refused", "conflict", "gone", or "not_saved" where it
        # would have been saved, had the others been
        # refusals:: [Core::Save::Refusal]; theirs:: numbers of the entries of somebody else's change
        Result = Struct.new(:state, :id, :version, :refusals, :theirs, keyword_init: true)

        # @param workspace [Workspace]
        # @param channel [String] see Write
        # @param progress [Progress]
        def initialize(workspace, channel:, progress: Progress.none)
          @writing = Write.new(workspace, channel: channel, progress: progress)
        end

        # @param table [String] key
        # @param drafts [Array<Hash>] see Write#call
        # @param keep [String] one of Bulk::KEEP
        # @return [Array(Report, Array<Result>)]
        # @raise see Write#call
        def call(table:, drafts:, keep:)
          results = drafts.map { |draft| Result.new(state: "gone", id: draft[:id], refusals: [], theirs: []) }
          report =
            @writing.call(table: table, drafts: drafts, summary: summary(drafts.length), keep: keep) do |place, answer|
              results[place] = result(answer, drafts[place][:id])
            end
          take_back(results, drafts) unless report.batch
          [report, results]
        end

        private

        def summary(count) = (count == 1) ? "1 record written" : "#{Core::Values::Plain.grouped(count)} records written"

        # @param answer [Services::SaveResult]
        def result(answer, id)
          unchanged = answer.state == :saved && answer.outcome.changes.empty?
          Result.new(
            state: unchanged ? "unchanged" : answer.state.to_s,
            id: answer.record&.id || id,
            version: (answer.record&.version if answer.state == :saved),
            refusals: (answer.state == :refused) ? answer.outcome.refusals : [],
            theirs: (answer.state == :conflict) ? answer.theirs.map(&:id) : []
          )
        end

        # What was undone again with the others has no number and no version that anybody may go by.
        def take_back(results, drafts)
          results.zip(drafts) do |result, draft|
            next unless result.state == "saved"

            result.state = "not_saved"
            result.id = draft[:id]
            result.version = nil
          end
        end
      end
    end
  end
end
