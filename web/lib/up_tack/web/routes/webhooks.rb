# frozen_string_literal: true

module UpTack
  module Web
    module Routes
      # Addresses of other programs that are told of changes.
      module Webhooks
        def self.registered(app)
          app.helpers Subscribed

          app.get("/api/webhooks") { json(webhooks.all.map { |each| Webhooks.entry(each, workspace) }) }

          app.post("/api/webhooks") do
            made = webhooks.make(address: sent["address"], tables: sent["tables"])
            json({**Webhooks.entry(made, workspace), secret: made.secret}, status: 201)
          end

          app.patch("/api/webhooks/:id") do
            json(Webhooks.entry(webhooks.switch(record_id, sent["active"] == true), workspace))
          end

          app.delete("/api/webhooks/:id") do
            webhooks.delete(record_id)
            status 204
          end

          app.post("/api/webhooks/:id/try") { json({problem: webhooks.try(record_id)}) }
        end

        # Used by the routes.
        module Subscribed
          def webhooks = UseCases::Webhooks::Subscriptions.new(workspace)
        end

        # @param webhook [Store::Webhook]
        # @param workspace [Workspace]
        # @return [Hash]
        def self.entry(webhook, workspace)
          tables = workspace.project.tables
          {
            id: webhook.id, address: webhook.address, active: webhook.active, problem: webhook.problem,
            tables: webhook.table_ids&.filter_map { |id| tables.find { |table| table.id == id }&.key },
            waiting: UseCases::Webhooks::Subscriptions.new(workspace).waiting(webhook), failures: webhook.failures,
            made_at: local(webhook.made_at, workspace), told_at: local(webhook.told_at, workspace),
            next_at: local(webhook.next_at, workspace)
          }
        end

        # @return [String, nil] as the firm's clocks show it, with its distance from UTC
        def self.local(time, workspace) = time && workspace.clock.local(time).iso8601
      end
    end
  end
end
