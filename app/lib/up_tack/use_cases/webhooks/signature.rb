# frozen_string_literal: true

require "openssl"

module UpTack
  module UseCases
    module Webhooks
      # By which a receiver knows that a message is from here and was not changed: HTTP Message Signatures (RFC 9421)
      # with HMAC and SHA-256 over the method, the address and the digest of the body (RFC 9530).
      module Signature
        PARTS = %w[@method @target-uri content-digest].freeze
        # Seconds for which a message may be taken.
        LASTING = 300

        module_function

        # @param secret [String]
        # @param address [String]
        # @param body [String]
        # @param key [String] by which a receiver with several secrets finds the one
        # @param at [Time]
        # @return [Hash{String=>String}] headers
        def headers(secret, address, body, key:, at:)
          digest = digest(body)
          parameters = "(#{PARTS.map { |part| %("#{part}") }.join(" ")});created=#{at.to_i};keyid=\"#{key}\";" \
            "alg=\"hmac-sha256\""
          {
            "Content-Digest" => digest,
            "Signature-Input" => "uptack=#{parameters}",
            "Signature" => "uptack=:#{sign(secret, address, digest, parameters)}:"
          }
        end

        # @param headers [Hash{String=>String}] as they came
        # @return [Boolean] whether a message is what was signed, and of now
        def right?(secret, address, body, headers, at:)
          parameters = headers["Signature-Input"].to_s[/\Auptack=(.+)\z/, 1]
          given = headers["Signature"].to_s[/\Auptack=:([^:]+):\z/, 1]
          created = parameters.to_s[/;created=(\d{1,12})/, 1]
          return false unless parameters && given && created && (at.to_i - created.to_i).abs <= LASTING
          return false unless headers["Content-Digest"] == digest(body)

          OpenSSL.secure_compare(given, sign(secret, address, headers["Content-Digest"], parameters))
        end

        def digest(body) = "sha-256=:#{[OpenSSL::Digest.digest("SHA256", body)].pack("m0")}:"

        def sign(secret, address, digest, parameters)
          base = [
            %("@method": POST), %("@target-uri": #{address}), %("content-digest": #{digest}),
            %("@signature-params": #{parameters})
          ].join("\n")
          [OpenSSL::HMAC.digest("SHA256", secret, base)].pack("m0")
        end
      end
    end
  end
end
