# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # The change log: looked through, counted, taken out, checked, and put back from.
      module History
        PAGE = 40
        CHANGES = 200

        def self.registered(app)
          app.helpers Params::HistoryParams

          app.get("/api/history") do
            asked = history
            found = asked.page(before: number_in_query("before"), limit: PAGE + 1)
            json({entries: Render::Entry.new(workspace).all(found.first(PAGE)), more: found.length > PAGE,
                  missing: asked.missing})
          end

          # The log as programs follow it, from a place on; one that has nothing to tell may wait for it.
          app.get("/api/changes") do
            asked = params[:after].to_s
            log = UseCases::History::Changes
            place = {"" => log.first, log::NOW => log.latest}.fetch(asked, asked)
            LongPoll.wait(number_in_query("wait") || 0) { changes_seen.any?(place) }
            workspace.renew # What may be seen may be another thing by now.
            found = Store::Deadline.within { changes_seen.page(place, CHANGES) }
            json({changes: Render::Entry.new(workspace).all(found.entries), next: found.place, more: found.more})
          rescue UseCases::History::Changes::Restored => e
            problem(410, "restored", e.message)
          end

          # How many saves there were over time, for a picture.
          app.get("/api/history/counts") do
            asked = history.periods
            period, edges = periods(asked.span)
            json(
              {
                period: period,
                counts:
                  asked
                    .counts(edges)
                    .map do |from, to, count|
                      {
                        from: workspace.clock.day_of(from).iso8601,
                        to: (workspace.clock.day_of(to) - 1).iso8601,
                        count: count
                      }
                    end
              }
            )
          end

          {"csv" => "text/csv", "json" => "application/json"}.each do |kind, type|
            app.get("/api/history/export.#{kind}") do
              asked = history
              export = Render::LogExport.new(workspace)
              content_type type, charset: "utf-8"
              attachment "history-#{workspace.clock.today.iso8601}.#{kind}"
              stream do |out|
                export.public_send(kind, asked) { |part| out << part }
              ensure
                ActiveRecord::Base.connection_handler.clear_active_connections!
              end
            end
          end

          app.post("/api/history/entries/:id/put-back") do
            table, answer =
              UseCases::History::PutBack.new(workspace).call(entry: record_id, field: texts_sent("field")["field"])
            Services::NotAllowed.unless_may(person, table, :see)
            saved_or_problem(table.key, answer)
          end

          app.post("/api/history/verify") do
            present = ->(verdict, workspace) { Render::Verdict.render(verdict, whole: workspace.person.builder?) }
            work_apart("verify", {}, present, shared: UseCases::Maintenance::VerifyLog.shared)
          end

          app.post("/api/history/batches/:id/undo") do
            batch = record_id
            present = ->(result, _) { {undone: result.undone, left: result.left, batch: result.batch.id} }
            work_apart("undo", {batch: batch}, present, many: UseCases::History::UndoBatch.size(batch))
          end
        end
      end
    end
  end
end
