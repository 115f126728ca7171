# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Records: listed, typed, tried, saved, deleted.
      module Records
        def self.registered(app)
          app.get("/api/tables/:table/records") do
            page = UseCases::Records::ListRecords.new(workspace).call(
              table: params[:table], **view_in_query, cursor: params[:cursor]&.to_s,
              at: (number_in_query("at") || 0).clamp(0, 2**53), limit: number_in_query("limit") || 100
            )
            records = Render::Record.new(workspace, workspace.table(params[:table]), fields: keys_in_query("fields"))
            json({records: records.all(page.records), following: page.following})
          end

          # How many there are, and what fields come to over them.
          app.get("/api/tables/:table/totals") do
            found =
              UseCases::Records::ComputeTotals.new(workspace).call(
                table: params[:table],
                **view_in_query.except(:sort),
                fields: keys_in_query("fields") || []
              )
            json(Render::Totals.render(found, workspace.table(params[:table])))
          end

          # Where in a view a text stands next, or a record.
          app.get("/api/tables/:table/places") do
            places = UseCases::Records::FindPlaces.new(workspace, params[:table], **view_in_query)
            from = (number_in_query("from") || 0).clamp(0, 2**53)
            id = number_in_query("id")
            json(
              (
                if id
                  places.record(id)
                else
                  places.text(params[:text].to_s.scrub, from: from, back: params[:back] == "true")
                end
              ).to_h
            )
          end

          app.post("/api/tables/:table/records") do
            answer =
              UseCases::Lines::Save.new(workspace, channel: channel).call(
                table: params[:table],
                typed: typed,
                reasons: reasons,
                **filling_in
              )
            saved_or_problem(params[:table], answer, status: 201)
          end

          app.get("/api/tables/:table/records/:id") do
            record = UseCases::Records::FindRecord.new(workspace).call(table: params[:table], id: record_id)
            record_json(Render::Record.new(workspace, workspace.table(params[:table])).render(record))
          end

          app.patch("/api/tables/:table/records/:id") do
            answer =
              UseCases::Lines::Save.new(workspace, channel: channel).call(
                table: params[:table],
                id: record_id,
                typed: typed,
                version: version_wanted(number_sent("version")),
                reasons: reasons,
                **filling_in
              )
            saved_or_problem(params[:table], answer)
          end

          app.delete("/api/tables/:table/records/:id") do
            answer =
              UseCases::Records::DeleteRecord.new(workspace).call(
                table: params[:table],
                id: record_id,
                version: version_wanted(number_in_query("version"))
              )
            next saved_or_problem(params[:table], answer) unless answer.state == :saved

            status 204
          end

          app.get("/api/tables/:table/records/:id/deletion") do
            found = UseCases::Records::PreviewDeletion.new(workspace).call(table: params[:table], id: record_id)
            json(Render::Deletion.render(found, workspace.visibility))
          end

          # The records that link to one, as its lines.
          app.get("/api/tables/:table/records/:id/lines/:other/:link") do
            records =
              UseCases::Lines::List.new(workspace).call(
                table: params[:table],
                id: record_id,
                other: params[:other],
                link: params[:link]
              )
            json(Render::Record.new(workspace, workspace.table(params[:other])).all(records))
          end

          # Records whose name, or what stands beside it, has the words typed.
          app.get("/api/tables/:table/matches") do
            matches =
              UseCases::Records::FindMatches.new(workspace).call(table: params[:table], text: params[:text].to_s.scrub)
            json(matches.map(&:to_h))
          end

          # The records that a link of a draft can point to.
          app.post("/api/tables/:table/fields/:field/candidates") do
            asked = {
              table: params[:table],
              field: params[:field],
              text: sent["text"].to_s.scrub[0, 200],
              typed: sent["typed"] ? typed : {}
            }
            own = design_parts("records")["records"]
            found =
              if own
                UseCases::Proofs::FindCandidates.new(workspace).call(**asked, records: own)
              else
                UseCases::Records::FindCandidates.new(workspace).call(**asked, id: number_sent("id"))
              end
            json(found.map(&:to_h))
          end

          app.post("/api/tables/:table/draft") do
            answer =
              UseCases::Lines::AnswerDraft.new(workspace).call(
                table: params[:table],
                typed: typed,
                id: number_sent("id"),
                reasons: reasons,
                **filling_in
              )
            json(Render::SaveResult.new(workspace, workspace.table(params[:table])).render(answer))
          end

          app.post("/api/tables/:table/trial") do
            trial = Params::Trial.workspace(workspace, person_id: number_sent("person_id"), at: sent["at"])
            answer =
              UseCases::Records::AnswerDraft.new(trial).call(
                table: params[:table],
                typed: typed,
                id: number_sent("id"),
                copy_of: number_sent("copy_of"),
                trace: true,
                reasons: reasons,
                tried: form_tried,
                **filling_in.except(:groups)
              )
            now = trial.clock.local(trial.clock.now).strftime("%Y-%m-%dT%H:%M")
            json({**Render::SaveResult.new(trial, workspace.table(params[:table])).render(answer), clock: now})
          end
        end
      end
    end
  end
end
