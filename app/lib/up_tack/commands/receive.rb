# frozen_string_literal: true

module UpTack
  module Commands
    # Stands in for the program to which a webhook leads, on this machine alone: prints every message as a line of JSON,
    # with whether its signature is right.
    #
    #   uptack receive --port 4900
    class Receive < Command
      HOST = "127.0.0.1"
      HEADERS = %w[Content-Digest Signature-Input Signature].freeze

      # @param port [Integer]
      # @param secret [String, nil] of the webhook; its signatures are not looked at without
      # @param fail [Integer] messages that are answered with 503 first, to see that they come again
      # @yield [Integer] the port, when it listens
      # @return [Integer] when it is stopped
      def call(port: 4900, secret: nil, fail: 0)
        require "puma"
        @secret = secret
        @left = fail
        server = Puma::Server.new(method(:take), nil, min_threads: 1, max_threads: 2)
        listens = server.add_tcp_listener(HOST, port).addr[1]
        @out.puts Core::Messages["commands.receive.waits", address: "http://#{HOST}:#{listens}/"]
        running = server.run
        yield listens if block_given?
        running.join
        0
      rescue Interrupt
        0
      rescue Errno::EADDRINUSE
        raise Failure, Core::Messages["commands.receive.port_is_used", port: port]
      end

      private

      def take(env)
        body = env["rack.input"].read.to_s
        refused = (@left -= 1) >= 0
        said = {"signature" => signature(env, body), "answered" => refused ? 503 : 204, "message" => parsed(body)}
        @out.puts JSON.generate(said)
        @out.flush
        [said["answered"], {}, []]
      end

      def signature(env, body)
        return "not checked" unless @secret

        headers = HEADERS.to_h { |name| [name, env["HTTP_#{name.upcase.tr("-", "_")}"]] }
        address = "http://#{env["HTTP_HOST"]}#{env["REQUEST_PATH"]}#{env["QUERY_STRING"].to_s.sub(/\A(?=.)/, "?")}"
        UseCases::Webhooks::Signature.right?(@secret, address, body, headers, at: Time.now) ? "right" : "wrong"
      end

      def parsed(body)
        JSON.parse(body)
      rescue JSON::ParserError
        body[0, 200].scrub
      end
    end
  end
end
