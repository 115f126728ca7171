# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Made-up records in bulk.
      module Samples
        def self.registered(app)
          app.post("/api/tables/:table/samples") do
            table = workspace.table(params[:table]).key
            count, seed = number_sent("count"), number_sent("seed") || 1
            present = ->(result, _) { {made: result.made, given_up: result.given_up, batch: result.batch.id} }
            work_apart("samples", {table: table, count: count, seed: seed}, present, status: 201)
          end

          app.get("/api/tables/:table/samples") do
            batches = UseCases::Proofs::MadeUpBatches.new(workspace).call(table: params[:table])
            json(
              batches.map do |batch|
                {
                  batch: batch.id,
                  summary: batch.summary,
                  person: batch.person_name,
                  made_at: batch.made_at.getutc.iso8601
                }
              end
            )
          end

          # Records that one rule refuses; none of them is saved.
          app.post("/api/tables/:table/samples/failing") do
            table = workspace.table(params[:table])
            asked = {
              table: table.key, rule: sent["rule"].to_s, count: number_sent("count"), seed: number_sent("seed") || 1
            }
            found = Work.call("failing", asked, person: person, progress: Progress.none)
            json({records: found.map(&:to_h)})
          end
        end
      end
    end
  end
end
