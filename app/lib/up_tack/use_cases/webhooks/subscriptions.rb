# frozen_string_literal: true

module UpTack
  module UseCases
    module Webhooks
      # The addresses that are told of changes: looked at, added, switched off and on, tried, deleted.
      class Subscriptions
        # As many as a firm may have.
        MOST = 20

        def initialize(workspace)
          @workspace = workspace
        end

        # @return [Array<Store::Webhook>] the latest first
        def all = Store::Webhook.order(id: :desc).to_a

        # @return [Integer] changes that an address has yet to be told of
        def waiting(webhook)
          place = webhook.place[/\d+\z/].to_i
          scope = Store::Entry.where("id > ?", place)
          (webhook.table_ids ? scope.by_number(webhook.table_ids) : scope).count
        end

        # It is told of what is saved from now on.
        # @param address [String]
        # @param tables [Array<String>, nil] keys of the tables that it is told of, nil for all
        # @return [Store::Webhook]
        # @raise [Core::Invalid, Store::NotFound]
        def make(address:, tables: nil)
          found = Address.new(address)
          if Store::Webhook.count >= MOST
            Core::Invalid.because(Core::Messages["webhooks.subscriptions.too_many", most: MOST], part: "address")
          end

          ids = tables&.map { |key| @workspace.table(key).id }
          Store::Database.write do
            Store::Webhook.create!(
              person_id: @workspace.person.id, address: found.to_s, tables: ids && JSON.generate(ids),
              salt: SecureRandom.hex(16), key_id: Store::LogKey.current.id, place: History::Changes.latest,
              active: true, made_at: @workspace.clock.now
            )
          end
        end

        # @param active [Boolean] one that is switched on again is told of all that it missed
        # @return [Store::Webhook]
        # @raise [Store::NotFound]
        def switch(id, active)
          webhook = find(id)
          columns = {active: active}
          columns.merge!(failures: 0, failing_since: nil, next_at: nil, problem: nil) if active
          Store::Database.write { webhook.update!(columns) }
          webhook
        end

        # @return [void]
        # @raise [Store::NotFound]
        def delete(id) = find(id).then { |webhook| Store::Database.write { webhook.destroy! } }

        # Sends a message with nothing to tell.
        # @return [String, nil] what went wrong
        # @raise [Store::NotFound]
        def try(id)
          webhook = find(id)
          webhook.place = History::Changes.latest
          Delivery.new(webhook, @workspace.project, @workspace.clock).call
          nil
        rescue Delivery::Failed => e
          e.message
        end

        private

        def find(id)
          Store::Webhook.find_by(id: id) or
            raise Store::NotFound, Core::Messages["webhooks.subscriptions.there_is_no_such_webhook"]
        end
      end
    end
  end
end
