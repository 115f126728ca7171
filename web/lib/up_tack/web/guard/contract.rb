# frozen_string_literal: true

require "openapi_first"

module UpTack
  module Web
    module Guard
      # Holds what scripts and clerks send to the OpenAPI document: a misspelt name is told instead of passed
      # over. The parts of a design are looked at one by one by the design itself, which says more of each.
      module Contract
        # What is asked with every key that somebody types; its parts are looked at one by one where they are read.
        TYPING = %w[answerDraft findCandidates checkFormula writePieces].freeze

        # What a schema says of the shape of a body: kinds of values, missing names and ("schema") strange ones.
        SHAPE = %w[object array string integer number boolean null required schema].freeze

        # Reads bodies for the library, by which it would not take this version of json.
        module Bodies
          # What the library waits for where a body is no JSON; it is told where the body is read.
          ParseError = JSON::ParserError

          module_function

          def load(text, _options = {}) = JSON.parse(text.to_s, max_nesting: Params::Requests::DEEPEST_BODY)
          def dump(object, _options = {}) = JSON.generate(object)
        end

        module_function

        # @param request [Rack::Request]
        # @param operation [Access::Operation]
        # @return [void]
        # @raise [Params::Requests::Malformed]
        def hold(request, operation)
          return if operation.least == "builder" || TYPING.include?(operation.id)
          return unless request.media_type == "application/json"
          return if request.content_length.to_i > Params::Requests::LARGEST_BODY

          faults = Contract.faults(request)
          return if faults.empty?

          raise Params::Requests::Malformed,
            Core::Messages["web.contract.does_not_fit", why: faults.first(3).join("; ")]
        end

        # @api private
        def self.document
          @document ||=
            begin
              MultiJson.use(Bodies)
              OpenapiFirst.load(Installation.path("web", "openapi.yaml"))
            end
        end

        # Which values are allowed is said by whoever takes them.
        # @api private
        # @return [Array<String>] what is wrong with the shape of the body
        def self.faults(request)
          failure = document.validate_request(request).error
          return [] unless failure&.type == :invalid_body

          failure.errors.to_a.select { |error| SHAPE.include?(error.type) }.map(&:message)
        end
      end
    end
  end
end
