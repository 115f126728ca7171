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

        MOST = Params::Requests::LARGEST_BODY

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
          return if request.media_type != "application/json" || request.content_length.to_i > MOST

          schema = Contract.schema(operation.id) or return
          faults = Contract.faults(schema, request)
          return if faults.empty?

          raise Params::Requests::Malformed,
            Core::Messages["web.contract.does_not_fit", why: faults.first(3).join("; ")]
        end

        # @api private
        # @return [OpenapiFirst::Definition]
        def self.document
          @document ||=
            begin
              MultiJson.use(Bodies)
              OpenapiFirst.load(Installation.path("web", "openapi.yaml"))
            end
        end

        # Compiled once for each operation: the library itself would compile it for each request.
        # @api private
        # @return [OpenapiFirst::Schema, nil] of a body in JSON
        def self.schema(id)
          @operations ||= document.operations.to_h { |operation| [operation.operation_id, operation] }
          (@schemas ||= {}).fetch(id) do
            @schemas[id] = @operations[id]&.request_body&.schema_for("application/json")
          end
        end

        # Which values are allowed is said by whoever takes them; what is no JSON, by whoever reads it.
        # @api private
        # @return [Array<String>] what is wrong with the shape of the body
        def self.faults(schema, request)
          text = request.body&.read(MOST + 1).to_s
          request.body&.rewind
          return [] if text.bytesize > MOST

          schema
            .validate(Bodies.load(text))
            .errors
            .to_a
            .select { |error| SHAPE.include?(error.type) }
            .map(&:message)
        rescue JSON::ParserError, EncodingError
          []
        end
      end
    end
  end
end
