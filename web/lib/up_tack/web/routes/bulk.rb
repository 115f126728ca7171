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
            asked = {table: table.key, kind: sent["do"].to_s, ids: ids_sent, filter: sent["filter"]&.to_s&.scrub, typed: sent["typed"] ? typed : {}, keep: sent["keep"].to_s}
            in_background(->(report) { json(Render::Report.of(report, table)) }, report: ->(report) { Render::Report.of(report, table) }) do |progress, workspace|
              UseCases::Bulk::Change.new(workspace, progress: progress).call(**asked)
            end
          end

          app.post("/api/tables/:table/batch") do
            table = workspace.table(params[:table])
            drafts = drafts_sent
            results = Array.new(drafts.length) { {state: "gone", id: nil, version: nil, messages: []} }
            summary = (drafts.length == 1) ? "1 record written" : "#{Core::Values::Plain.grouped(drafts.length)} records written"
            report = UseCases::Bulk::Write.new(workspace, way: way).call(table: table.key, drafts: drafts, summary: summary, keep: sent["keep"] ? sent["keep"].to_s : "all") do |place, answer|
              results[place] = Routes::Bulk.result(answer)
            end
            results.each_with_index { |result, place| result[:id] ||= drafts[place][:id] }
            json({report: Render::Report.of(report, table), results: results})
          end

          app.helpers Sent
        end

        # @param answer [UseCases::Answer]
        # @return [Hash] what became of one record
        def self.result(answer)
          messages = (answer.state == :refused) ? answer.outcome.refusals.map(&:to_h) : []
          state = (answer.state == :saved && answer.outcome.changes.empty?) ? "unchanged" : answer.state.to_s
          {state: state, id: answer.record&.id, version: (answer.record&.version if answer.state == :saved), messages: messages}
        end

        # Reads what was sent.
        module Sent
          # @return [Array<Integer>, nil] numbers of records
          def ids_sent
            ids = sent["ids"]
            return ids if ids.nil? || (ids.is_a?(Array) && ids.all? { |id| id.is_a?(Integer) && id.abs < 10**18 })

            raise Requests::Malformed, "`ids` must be a list of record numbers."
          end

          # @return [Array<Hash>]
          def drafts_sent
            given = sent["records"]
            raise Requests::Malformed, "`records` must be a list of at most #{Core::Values::Plain.grouped(MOST)}." unless given.is_a?(Array) && given.length.between?(1, MOST)

            given.map { |each| draft_sent(each) }
          end

          private

          def draft_sent(each)
            sound = each.is_a?(Hash) && each["typed"].is_a?(Hash) && each.values_at("id", "version").all? { |number| number.nil? || (number.is_a?(Integer) && number.abs < 10**18) }
            reasons = each.is_a?(Hash) ? each["reasons"] || {} : {}
            raise Requests::Malformed, "Each of `records` needs `typed`; `id` and `version` are whole numbers." unless sound && reasons.is_a?(Hash) && reasons.values.all?(String)

            {typed: each["typed"], id: each["id"], version: each["version"], reasons: reasons}.compact
          end
        end
      end
    end
  end
end
