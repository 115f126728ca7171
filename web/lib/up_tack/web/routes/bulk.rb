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
            work_apart("bulk", asked, present, many: asked[:ids]&.length)
          end

          app.post("/api/tables/:table/batch") do
            table = workspace.table(params[:table])
            keep = sent["keep"] ? sent["keep"].to_s : "all"
            asked = {table: table.key, drafts: drafts_sent, keep: keep, channel: channel}
            present = ->((report, results), workspace) { Routes::Bulk.told(report, results, table, workspace) }
            failed = ->((report, _)) do
              {title: Routes::Bulk.not_saved(report), code: "not_saved"} if report.batch.nil? && keep != "none"
            end
            work_apart("batch", asked, present, many: asked[:drafts].length, failed: failed)
          end

          app.helpers BodyReader
        end

        # @param report [UseCases::Bulk::Report]
        # @param results [Array<UseCases::Bulk::WriteEach::Result>]
        # @param table [Core::Design::Table]
        # @param workspace [Workspace] of whoever asks
        # @return [Hash] what became of all, and of each in its place
        def self.told(report, results, table, workspace)
          {
            report: Render::Report.render(report, table, workspace.visibility),
            results: results.map { |result| one(result, table, workspace) }
          }
        end

        def self.one(result, table, workspace)
          messages = result.refusals.map { |each| workspace.visibility.refusal(each, table).to_h }
          told = {state: result.state, id: result.id, version: result.version, messages: messages}
          (result.state == "conflict") ? told.merge(conflict(result, table, workspace)) : told
        rescue Store::NotFound
          told.merge(state: "gone") # It was deleted since.
        end

        # @return [Hash] of a record that somebody else changed: as it is now, and what they did
        def self.conflict(result, table, workspace)
          record = UseCases::Records::FindRecord.new(workspace).call(table: table.key, id: result.id)
          {
            record: Render::Record.new(workspace, table).render(record),
            theirs: Render::Entry.new(workspace).all(UseCases::History::Entries.numbered(result.theirs))
          }
        end
        private_class_method :one, :conflict

        # @return [String] in words for whoever sent them
        def self.not_saved(report) =
          Core::Messages["web.bulk.nothing_was_saved", refused: report.refused_count, all: report.looked_at]

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

            needed(each["version"]) if each["id"]
            {typed: each["typed"], id: each["id"], version: each["version"], reasons: reasons}.compact
          end
        end
      end
    end
  end
end
