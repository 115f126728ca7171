# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Many records at once: the same done to those that are chosen, or each as it was sent.
      module Bulk
        # Records in one request.
        MOST = 5_000

        def self.registered(app)
          app.post("/api/tables/:table/bulk") do
            table = workspace.table(params[:table])
            asked = {
              table: table.key,
              kind: sent["do"].to_s,
              ids: ids_sent,
              filter: sent["filter"]&.to_s&.scrub,
              search: sent["search"]&.to_s&.scrub
            }
            asked.update(typed: sent["typed"] ? typed : {}, keep: sent["keep"].to_s)
            present = ->(report, workspace) { Render::Report.render(report, table, workspace.visibility) }
            work_apart("bulk", asked, present)
          end

          app.post("/api/tables/:table/batch") do
            table = workspace.table(params[:table])
            drafts, came, keep = drafts_sent, channel, sent["keep"] ? sent["keep"].to_s : "all"
            present = ->((report, results), workspace) do
              {report: Render::Report.render(report, table, workspace.visibility), results: results}
            end
            failed = ->((report, _)) do
              {title: Routes::Bulk.not_saved(report), code: "not_saved"} if report.batch.nil? && keep != "none"
            end
            in_background(present, failed: failed) do |progress, workspace|
              Routes::Bulk.write(
                workspace,
                UseCases::Bulk::Write.new(workspace, channel: came, progress: progress),
                table: table,
                drafts: drafts,
                keep: keep
              )
            end
          end

          app.helpers BodyReader
        end

        # @param drafts [Array<Hash>] as Bulk::Write takes them
        # @return [Array(UseCases::Bulk::Report, Array<Hash>)] what came of all, and of each in its place
        def self.write(workspace, writing, table:, drafts:, keep:)
          results = Array.new(drafts.length) { {state: "gone", id: nil, version: nil, messages: []} }
          summary =
            if drafts.length == 1
              "1 record written"
            else
              "#{Core::Values::Plain.grouped(drafts.length)} records written"
            end
          report =
            writing.call(table: table.key, drafts: drafts, summary: summary, keep: keep) do |place, answer|
              results[place] = (
                if answer.state == :conflict
                  conflict(workspace, table, answer, drafts[place][:id])
                else
                  result(answer, table, workspace.visibility)
                end
              )
            end
          results.each_with_index { |result, place| result[:id] ||= drafts[place][:id] }
          take_back(results, drafts) unless report.batch
          [report, results]
        end

        # What was undone again with the others has no number and no version that anybody may go by.
        def self.take_back(results, drafts)
          results.zip(drafts) do |result, draft|
            result.merge!(state: "not_saved", id: draft[:id], version: nil) if result[:state] == "saved"
          end
        end

        # @return [String] in words for whoever sent them
        def self.not_saved(report) =
          Core::Messages["web.bulk.nothing_was_saved", refused: report.refused_count, all: report.looked_at]

        # @return [Hash] of a record that somebody else changed: as it is now, and what they did
        def self.conflict(workspace, table, answer, id)
          record = UseCases::Records::FindRecord.new(workspace).call(table: table.key, id: id)
          {
            **result(answer, table, workspace.visibility),
            record: Render::Record.new(workspace, table).render(record),
            theirs: Render::Entry.new(workspace).all(answer.theirs)
          }
        end

        # @param answer [Services::SaveResult]
        # @param visible [Core::Design::Visibility] of whoever asks
        # @return [Hash] what became of one record
        def self.result(answer, table, visible)
          messages =
            (answer.state == :refused) ? answer.outcome.refusals.map { |each| visible.refusal(each, table).to_h } : []
          state = (answer.state == :saved && answer.outcome.changes.empty?) ? "unchanged" : answer.state.to_s
          {
            state: state,
            id: answer.record&.id,
            version: (answer.record&.version if answer.state == :saved),
            messages: messages
          }
        end

        # Reads what was sent.
        module BodyReader
          # @return [Array<Integer>, nil] numbers of records
          def ids_sent
            ids = sent["ids"]
            return ids if ids.nil? || (ids.is_a?(Array) && ids.all? { |id| id.is_a?(Integer) && id.abs < 10**18 })

            raise Params::Requests::Malformed, Core::Messages["web.bulk.ids_must_be_list_of_record_numbers"]
          end

          # @return [Array<Hash>]
          def drafts_sent
            given = sent["records"]
            unless given.is_a?(Array) && given.length.between?(1, MOST)
              raise Params::Requests::Malformed,
                Core::Messages["web.bulk.records_must_be_list_of_at_most", most: Core::Values::Plain.grouped(MOST)]
            end

            given.map { |each| draft_sent(each) }
          end

          private

          def draft_sent(each)
            sound =
              each.is_a?(Hash) && each["typed"].is_a?(Hash) &&
              each
                .values_at("id", "version")
                .all? { |number| number.nil? || (number.is_a?(Integer) && number.abs < 10**18) }
            reasons = each.is_a?(Hash) ? each["reasons"] || {} : {}
            unless sound && reasons.is_a?(Hash) && reasons.values.all?(String)
              raise Params::Requests::Malformed,
                Core::Messages["web.bulk.each_of_records_needs_typed"]
            end

            {typed: each["typed"], id: each["id"], version: each["version"], reasons: reasons}.compact
          end
        end
      end
    end
  end
end
