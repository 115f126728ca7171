# frozen_string_literal: true

require "socket"
require "stringio"

module UpTack
  module Web
    # The processes that answer beside this one. Each listens on a socket of its own, in a folder for this account
    # alone, for requests that only it can answer: long work goes on in one of them.
    module Neighbours
      # Parts of a request that are handed on.
      PARTS = /\A(HTTP_\w+|REQUEST_METHOD|PATH_INFO|QUERY_STRING|SCRIPT_NAME|CONTENT_\w+|SERVER_\w+|REMOTE_ADDR)\z/
      SCHEME = "rack.url_scheme"
      # Told to whoever gets one: that it was handed on, and is not to be once more.
      HANDED_ON = "up_tack.handed_on"

      class << self
        # @return [String, nil] the folder; nil where this process answers alone
        attr_accessor :folder

        # Answers those that others hand on, until the process ends.
        # @param app [#call] a Rack application
        # @return [Thread]
        def listen(app)
          server = UNIXServer.new(place(Process.pid))
          Thread.new { loop { Thread.new(server.accept) { |line| serve(line, app) } } }
        end

        # @param process [Integer] number of another one
        # @param env [Hash{String=>Object}] a request to this one
        # @return [Array, nil] what that answers, as Rack has it; nil where it is gone
        def ask(process, env)
          return if folder.nil? || process == Process.pid || env[HANDED_ON]

          UNIXSocket.open(place(process)) do |line|
            parts = env.select { |name, value| value.is_a?(String) && (name == SCHEME || PARTS.match?(name)) }
            Wire.hand([parts.merge(HANDED_ON => true), env["rack.input"]&.read.to_s], line)
            Wire.receive(line)
          end
        rescue SystemCallError, EOFError
          nil
        end

        # When the process ends.
        # @return [void]
        def leave = folder && FileUtils.rm_f(place(Process.pid))

        private

        def place(process) = File.join(folder, process.to_s)

        def serve(line, app)
          parts, body = Wire.receive(line)
          status, headers, answer = app.call(parts.merge("rack.input" => StringIO.new(body), "rack.errors" => $stderr))
          Wire.hand([status, headers.to_h, [text(answer)]], line)
        rescue EOFError, SystemCallError
          nil
        ensure
          line.close
        end

        def text(answer)
          whole = +"".b
          answer.each { |part| whole << part.b }
          answer.close if answer.respond_to?(:close)
          whole
        end
      end
    end
  end
end
