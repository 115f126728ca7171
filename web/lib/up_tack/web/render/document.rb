# frozen_string_literal: true

require "json"
require "yaml"

module UpTack
  module Web
    module Render
      # The API's document as it is handed out: with an example of what each operation takes and answers. They were
      # taken from specs (see RecordedExamples) and stand in a file of their own, so that the document stays readable.
      module Document
        JSON_TYPE = "application/json"

        module_function

        # @return [Hash] in OpenAPI 3.1
        def all
          @all ||= begin
            document = YAML.load_file(Installation.path("web", "openapi.yaml"))
            examples = JSON.parse(File.read(Installation.path("web", "examples.json")))
            document["paths"].each_value.flat_map(&:values).grep(Hash).each do |operation|
              add(operation, examples[operation["operationId"]], document) if operation["operationId"]
            end
            document
          end
        end

        # @return [String] the same as YAML, without the aliases that not all readers take
        def yaml = @yaml ||= JSON.parse(JSON.generate(all)).to_yaml

        def add(operation, example, document)
          return if example.nil?

          asked = operation.dig("requestBody", "content", JSON_TYPE)
          asked["example"] = example["request"] if asked && example.key?("request")
          status = example["status"]
          response = operation["responses"][status] or return
          return unless example.key?("response")

          operation["responses"][status] = with(resolved(response, document), example["response"])
        end

        # What several operations answer has an example of its own in each.
        def resolved(response, document) =
          response["$ref"] ? document.dig(*response["$ref"].delete_prefix("#/").split("/")) : response

        def with(response, example)
          media = response.dig("content", JSON_TYPE) or return response
          {**response, "content" => {**response["content"], JSON_TYPE => {**media, "example" => example}}}
        end
      end
    end
  end
end
