# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Backups of the database, and looking whether all of it holds.
      module Maintenance
        def self.registered(app)
          app.get("/api/backups") { backups_json }

          app.post("/api/backups") do
            made = Work.call("backup", {why: "hand"}, person: person, progress: Progress.none)
            json(Routes::Maintenance.copy(made, workspace.clock), status: 201)
          end

          app.put("/api/backups/settings") do
            backups.change(sent.slice(*UseCases::Maintenance::Backups::USUAL.keys))
            backups_json
          end

          app.get("/api/backups/:name") do
            path = backups.hand_out(params[:name])
            content_type "application/vnd.sqlite3"
            attachment params[:name]
            send_file path, type: "application/vnd.sqlite3", disposition: :attachment, filename: params[:name]
          end

          app.delete("/api/backups/:name") do
            backups.drop(params[:name])
            status 204
          end

          app.post("/api/backups/:name/restore") do
            words = Core::Messages["maintenance.writing.restores", whom: person.name]
            before = telling_others(words) do
              Work.call("restore", {name: params[:name]}, person: person, progress: Progress.none)
            end
            Proving.wake
            json({before: before})
          end

          app.post("/api/backups/prove") do
            proof = ->(found, shown) { {proven: found && Routes::Maintenance.proof(found, shown.clock)} }
            work_apart("prove restore", {}, proof)
          end

          # What takes space; for a large database that takes a while to find out.
          app.post("/api/space") do
            space = ->(found, _) { found.to_h.merge(parts: found.parts.map(&:to_h)) }
            work_apart("space", {}, space)
          end

          app.post("/api/check") do
            present = ->(findings, _) { {findings: findings.map(&:to_h)} }
            work_apart("check", {}, present)
          end

          app.error(Store::Backups::Kept) { |error| problem(409, "kept", error.message) }
          app.error(Store::Backups::Unsound) { |error| problem(422, "unsound", error.message) }
          app.helpers Helpers
        end

        # @param copy [Store::Backups::Copy]
        # @param clock [#local] of the firm
        # @return [Hash] with the firm's day and hour
        def self.copy(copy, clock) =
          {
            name: copy.name,
            made_at: clock.local(copy.made_at).strftime("%Y-%m-%dT%H:%M"),
            why: copy.why,
            bytes: copy.bytes
          }

        # @param proof [UseCases::Maintenance::ProveRestore::Proof]
        # @return [Hash] of it, with the firm's day and hour
        def self.proof(proof, clock) = proof.to_h.merge(at: clock.local(proof.at).strftime("%Y-%m-%dT%H:%M"))

        # @param told [UseCases::Maintenance::SecondCopy::Told]
        # @return [Hash] of it, with the firm's day and hour
        def self.second(told, clock) =
          told.to_h.merge(latest: told.latest && clock.local(told.latest).strftime("%Y-%m-%dT%H:%M"))

        # Used by these routes.
        module Helpers
          def backups = @backups ||= UseCases::Maintenance::Backups.new(workspace.clock, person: person)

          def backups_json
            proven = UseCases::Maintenance::ProveRestore.latest
            second = UseCases::Maintenance::SecondCopy.new.told
            json(
              {
                backups: backups.all.map { |each| Routes::Maintenance.copy(each, workspace.clock) },
                settings: backups.settings,
                late: backups.late?,
                proven: proven && Routes::Maintenance.proof(proven, workspace.clock),
                second: second && Routes::Maintenance.second(second, workspace.clock)
              }
            )
          end
        end
      end
    end
  end
end
