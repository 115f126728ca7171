# frozen_string_literal: true

module UpTack
  module UseCases
    module Webhooks
      # Tells every address what it was not told yet, in the order in which it was saved. One that does not answer is
      # tried again after ever longer pauses, and switched off after some days. A message may come twice, when an answer
      # is lost, but none is left out.
      class Deliver
        # Seconds before the second attempt, each further one twice as long, and at most.
        FIRST_PAUSE = 10
        LONGEST_PAUSE = 3_600
        # Seconds without an answer after which an address is switched off.
        GIVEN_UP = 3 * 86_400

        @busy = Set.new
        @mutex = Mutex.new

        class << self
          # Starts what is due, each address in a thread of its own, so that none waits for another one.
          # @param workspace [Workspace]
          # @return [Array<Thread>]
          def due(workspace)
            now = workspace.clock.now
            waiting = Store::Webhook.where(active: true).where("next_at IS NULL OR next_at <= ?", now).to_a
            waiting.filter_map do |webhook|
              next unless take(webhook)

              Thread.new { work(workspace, webhook) }
            end
          end

          private

          def take(webhook) = @mutex.synchronize { @busy.add?(webhook.id) }

          def work(workspace, webhook)
            new(workspace, webhook).call
          rescue ActiveRecord::RecordNotFound
            nil # Somebody has deleted it.
          rescue => e
            Log["Webhooks"].error("Webhook #{webhook.id} failed", e)
          ensure
            @mutex.synchronize { @busy.delete(webhook.id) }
            ActiveRecord::Base.connection_handler.clear_active_connections!
          end
        end

        def initialize(workspace, webhook)
          @workspace = workspace
          @webhook = webhook
        end

        # Tells all that there is to tell.
        # @return [void]
        def call
          loop do
            delivery = Delivery.new(@webhook, @workspace.project, @workspace.clock)
            return note(place: delivery.page.place) if delivery.empty?

            told(delivery.call)
            return unless delivery.page.more && @webhook.active
          end
        rescue Delivery::Failed => e
          failed(e)
        end

        private

        def told(place)
          note(place: place, told_at: now, failures: 0, failing_since: nil, next_at: nil, problem: nil)
        end

        def failed(error)
          since = @webhook.failing_since || now
          over = error.gone || now - since > GIVEN_UP
          pause = [FIRST_PAUSE * (2**@webhook.failures.clamp(0, 20)), error.wait.to_i].max.clamp(0, LONGEST_PAUSE)
          note(failures: @webhook.failures + 1, failing_since: since, next_at: now + pause, problem: error.message)
          return unless over

          note(active: false)
          tell_builder(error)
        end

        # Whatever somebody changed or deleted meanwhile stays so.
        def note(**columns)
          return if columns.keys == [:place] && columns[:place] == @webhook.place

          Store::Database.write { Store::Webhook.where(id: @webhook.id).update_all(columns) }
          @webhook.reload
        end

        def tell_builder(error)
          Store::Database.write do
            Store::Notice.create!(
              made_at: now, table_id: "", person_id: @webhook.person_id, path: "/api",
              subject: Core::Messages["webhooks.deliver.subject", address: @webhook.address],
              body: Core::Messages["webhooks.deliver.body", address: @webhook.address, problem: error.message]
            )
          end
        end

        def now = @workspace.clock.now
      end
    end
  end
end
