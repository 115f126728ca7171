# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Proofs: kept, changed, run; and what a rule would do to them.
      module Proofs
        PARTS = %w[name group note expect] + Bench::SCRIPT

        def self.registered(app)
          changes = Core::Design::Changes

          app.get("/api/proofs") do
            overview = UseCases::Proofs::Overview.new(workspace)
            Proving.wake unless overview.fresh?
            json(Render::Proofs.render(overview))
          end

          app.post("/api/proofs/run") do
            UseCases::Proofs::Mistakes.forget
            Proving.wake(again: true)
            status 204
          end

          app.get("/api/tables/:table/proofs/:proof") do
            table = workspace.table(params[:table])
            proof = table.proof(params[:proof]) or
              raise Store::NotFound, Core::Messages["web.proofs.there_is_no_such_proof"]
            telling =
              Core::Design::ExpectationFormatter.new(
                table,
                Core::Bench::RecordOverlay
                  .new(workspace.ground, records: Core::Design::Script.from(proof.script).values(workspace.project))
                  .tap { |world| world.context = workspace.context }
              )
            json({proof: proof.attributes, expects: proof.expectations.map { |each| telling.format(each) }})
          end

          app.post("/api/tables/:table/proofs") do
            table = workspace.table(params[:table])
            given = sent["proofs"]
            unless given.is_a?(Array) && given.any? && given.length <= 500 && given.all?(Hash)
              raise Params::Requests::Malformed, Core::Messages["web.proofs.proofs_must_be_list_of_proofs"]
            end

            change =
              changes::SaveProof.new(
                table: table.key,
                proofs: design_parts("proofs").fetch("proofs").map { |proof| proof.slice(*PARTS) },
                today: workspace.clock.today
              )
            change_design(->(*) { {ids: change.ids} }, status: 201) { |design| design.call(change) }
          end

          app.put("/api/tables/:table/proofs/:proof") do
            table = workspace.table(params[:table])
            change =
              changes::SaveProof.new(
                table: table.key,
                proofs: [design_parts(*PARTS).merge("id" => params[:proof])],
                today: workspace.clock.today
              )
            change_design(->(*) { {ids: change.ids} }) { |design| design.call(change) }
          end

          app.delete("/api/tables/:table/proofs/:proof") do
            table = workspace.table(params[:table])
            change = changes::DeleteProof.new(table: table.key, id: params[:proof])
            change_design { |design| design.call(change) }
          end

          # Which proofs a rule would break, were it saved.
          app.post("/api/tables/:table/rules/proofs") do
            table = workspace.table(params[:table])
            change =
              changes::PinRule.new(
                table: table.key,
                rule: design_parts(*Rules::PARTS).compact,
                records: workspace.context.records
              )
            json(
              Render::Proofs.endangered(
                UseCases::Proofs::AffectedProofs.new(workspace).call(table: table.key, change: change)
              )
            )
          end
        end
      end
    end
  end
end
