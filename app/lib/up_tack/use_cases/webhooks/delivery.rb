# frozen_string_literal: true

require "net/http"
require "timeout"

module UpTack
  module UseCases
    module Webhooks
      # One message to one address: which records were made, changed or deleted since the last one. It has no values, so
      # that nothing is told to whoever may not see it; they are asked for with a token.
      class Delivery
        # Changes in one message, seconds for an answer, and bytes of one that are looked at.
        MOST = 200
        PATIENCE = 10

        # Whoever sends nothing back that says it was taken.
        class Failed < StandardError
          # @return [Integer, nil] seconds for which to wait, if the receiver said so
          attr_reader :wait
          # @return [Boolean] whether the receiver wants nothing any more (410)
          attr_reader :gone

          def initialize(message, wait: nil, gone: false)
            @wait = wait
            @gone = gone
            super(message)
          end
        end

        # @param webhook [Store::Webhook]
        # @param project [Core::Design::Project]
        # @param clock [#now]
        def initialize(webhook, project, clock)
          @webhook = webhook
          @project = project
          @clock = clock
        end

        # @return [Boolean] whether there is nothing to tell
        def empty? = page.entries.empty? && !@restored

        # @return [History::Changes::Page] what there is to tell
        def page
          @page ||= changes.page(@webhook.place, MOST)
        rescue History::Changes::Restored
          @restored = true
          @page = History::Changes::Page.new(entries: [], place: History::Changes.latest, more: false)
        end

        # Sends it, without anything to tell where only the way is tried.
        # @return [String] the place up to which it is told now
        # @raise [Failed]
        def call
          page
          body = JSON.generate(message)
          answer = post(body)
          return @page.place if answer.is_a?(Net::HTTPSuccess)

          raise Failed.new(
            Core::Messages["webhooks.delivery.answered", status: answer.code], wait: answer["Retry-After"]&.to_i,
            gone: answer.code == "410"
          )
        rescue Core::Invalid, SystemCallError, SocketError, IOError, Timeout::Error, OpenSSL::SSL::SSLError,
          Net::ProtocolError => e
          raise Failed, Core::Messages["webhooks.delivery.not_reached", why: e.message.lines.first.to_s.strip[0, 200]]
        end

        private

        def changes = History::Changes.new(seen: @webhook.table_ids)

        # The same changes have the same id whenever they are sent, so that a receiver can drop what it has.
        def message
          {
            id: "#{@webhook.id}-#{@webhook.place}-#{@page.place}", webhook: @webhook.id, restored: @restored == true,
            after: @webhook.place, next: @page.place, more: @page.more,
            changes: @page.entries.map { |entry| change(entry) }
          }
        end

        def change(entry)
          table = @project.tables.find { |each| each.id == entry.table_id }
          {
            id: entry.id, at: entry.made_at.iso8601, table: table&.key, record: entry.record_id, action: entry.action,
            channel: entry.channel
          }
        end

        def post(body)
          address = Address.new(@webhook.address)
          http = Net::HTTP.new(address.uri.hostname, address.uri.port, nil)
          http.ipaddr = address.number
          http.use_ssl = address.uri.is_a?(URI::HTTPS)
          http.open_timeout = http.read_timeout = http.write_timeout = PATIENCE
          http.max_retries = 0
          Timeout.timeout(PATIENCE * 2) { http.start { http.request(request(address, body)) } }
        end

        def request(address, body)
          secret = @webhook.secret or raise Failed, Core::Messages["webhooks.delivery.no_key"]
          signed = Signature.headers(secret, address.to_s, body, key: "webhook-#{@webhook.id}", at: @clock.now)
          headers = {"Content-Type" => "application/json", "User-Agent" => "Up-Tack/#{Installation::VERSION}", **signed}
          Net::HTTP::Post.new(address.uri, headers).tap { |post| post.body = body }
        end
      end
    end
  end
end
