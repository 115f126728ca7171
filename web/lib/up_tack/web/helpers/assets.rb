# frozen_string_literal: true

module UpTack
  module Web
    module Helpers
      # Files of the built interface, compressed as they were written when it was built.
      module Assets
        FOLDER = Installation.path("ui", "dist")
        # By the encoding's name (RFC 9110), the ending of the file that has it; the smaller first.
        ENCODINGS = {"br" => ".br", "gzip" => ".gz"}.freeze
        # Seconds in a year: what is named after its contents never changes.
        YEAR = 31_536_000
        # Parts of a page, which obey the page's own policy. A script that is run as a worker brings its policy along.
        PARTS = %w[.js .css .woff2 .webp].freeze
        WORKER = /worker/
        # What is told only with a page: nearly half of what a small script takes over the wire.
        OF_PAGES = [*(Guard::HEADERS.keys - ["X-Content-Type-Options", "Cross-Origin-Resource-Policy"]),
          "Content-Security-Policy"].freeze

        # @param path [String] of the request
        # @return [String, nil] a file of the interface other than its page
        def asset(path)
          file = File.expand_path(".#{path}", FOLDER)
          return unless file.start_with?("#{FOLDER}/") && File.file?(file)

          file unless file.end_with?(".html", *ENCODINGS.values)
        end

        # Sends it, compressed where the browser can read that and it was worth it.
        def send_asset(file)
          if file.start_with?("#{FOLDER}/assets/")
            cache_control :public, :immutable, max_age: YEAR
          else
            cache_control :public, max_age: 3600
          end
          headers "Vary" => "Accept-Encoding"
          OF_PAGES.each { |name| response.headers.delete(name) } if part?(file)
          encoding = encoding_of(file)
          headers "Content-Encoding" => encoding if encoding
          send_file "#{file}#{ENCODINGS[encoding]}", type: File.extname(file)
        end

        private

        def part?(file) = PARTS.include?(File.extname(file)) && !WORKER.match?(File.basename(file))

        def encoding_of(file)
          accepted = Rack::Utils.q_values(env["HTTP_ACCEPT_ENCODING"]).reject { |_, weight| weight.zero? }.map(&:first)
          ENCODINGS.keys.find { |name| accepted.include?(name) && File.file?("#{file}#{ENCODINGS[name]}") }
        end
      end
    end
  end
end
