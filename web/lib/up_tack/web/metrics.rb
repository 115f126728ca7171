# frozen_string_literal: true

require "prometheus/client"
require "prometheus/client/data_stores/direct_file_store"
require "prometheus/client/formats/text"

module UpTack
  module Web
    # Figures for whatever watches over the program, in the text format of Prometheus (version 0.0.4): how much is
    # asked, how long drafts and saves take and wait for their turn, what long work goes on. Added up over all
    # processes. No name and no value of the firm's stands there.
    module Metrics
      # Seconds, by which an answer or a wait is counted.
      BUCKETS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.15, 0.25, 0.4, 0.75, 1.5, 5, 20].freeze
      SAVE = %r{\A/api/tables/[^/]+/(records|batch)(/\d+)?\z}
      DRAFT = %r{/draft\z}

      class << self
        # @param folder [String, nil] where processes put down what they count; nil where there is only one
        # @return [void]
        def start(folder = nil)
          Prometheus::Client.config.data_store =
            if folder
              Prometheus::Client::DataStores::DirectFileStore.new(dir: folder)
            else
              Prometheus::Client::DataStores::Synchronized.new
            end
          @counted = Counted.new
          ActiveSupport::Notifications.subscribe("waited.up_tack") { |*, told| @counted.waited(told[:seconds]) }
        end

        # @param env [Hash] of a request
        # @param status [Integer]
        # @param seconds [Float]
        # @return [void]
        def note(env, status, seconds)
          path = env["PATH_INFO"]
          @counted&.answered(kind(env["REQUEST_METHOD"], path), status, seconds) unless path == "/metrics"
        end

        # @return [String]
        def text = Prometheus::Client::Formats::Text.marshal((@counted || Counted.new).registry) + now

        # @return [String] content type of the text
        def type = Prometheus::Client::Formats::Text::CONTENT_TYPE

        private

        def kind(method, path)
          return "draft" if DRAFT.match?(path)
          return "save" if method != "GET" && SAVE.match?(path)
          return "page" unless path.start_with?("/api/")

          (method == "GET") ? "read" : "write"
        end

        # What is so at this moment, whichever process is asked.
        def now
          figures = UseCases::Maintenance::State.new(Schedule).figures.reject { |_, figure| figure[:value].nil? }
          figures.map { |name, figure|
            "# TYPE #{name} gauge\n# HELP #{name} #{figure[:help]}\n#{name} #{figure[:value]}\n"
          }.join
        end
      end

      # What every process counts.
      class Counted
        attr_reader :registry

        def initialize
          @registry = Prometheus::Client::Registry.new
          @requests = counter(:up_tack_requests_total, help: "Requests answered.", labels: %i[kind status])
          @seconds = histogram(:up_tack_request_seconds, help: "Seconds until an answer.", labels: %i[kind])
          @waits = histogram(:up_tack_write_wait_seconds, help: "Seconds for which whoever writes waits for others.")
        end

        def answered(kind, status, seconds)
          @requests.increment(labels: {kind: kind, status: status.to_s})
          @seconds.observe(seconds, labels: {kind: kind})
        end

        def waited(seconds) = @waits.observe(seconds)

        private

        def counter(name, help:, labels:) = @registry.counter(name, docstring: help, labels: labels)

        def histogram(name, help:, labels: []) =
          @registry.histogram(name, docstring: help, labels: labels, buckets: BUCKETS)
      end
    end
  end
end
