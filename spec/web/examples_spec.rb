# frozen_string_literal: true

require "web_helper"

RSpec.describe "The examples of the API's document" do
  let(:examples) { JSON.parse(File.read(UpTack::Installation.path("web", "examples.json"))) }

  # @return [Array<Array(String, Hash)>] where each operation stands in the document, and what it says
  def operations
    WebHelp::DOCUMENT["paths"].flat_map do |path, item|
      item.select { |_, said| said.is_a?(Hash) && said.key?("operationId") }.map do |verb, operation|
        ["#/paths/#{path.gsub("/", "~1").gsub("{", "%7B").gsub("}", "%7D")}/#{verb}", operation]
      end
    end
  end

  # @return [String, nil] where the schema of a body in JSON stands, nil where there is no such body
  def schema_at(place, body)
    place = body["$ref"] if body&.key?("$ref")
    body = WebHelp::DOCUMENT.dig(*place.delete_prefix("#/").split("/")) if body&.key?("$ref")
    "#{place}/content/application~1json/schema" if body&.dig("content", "application/json")
  end

  # @return [Array<String>] what is wrong with an example of a body
  def faults(at, example, part)
    return [] if at.nil?
    return ["has no #{part}"] unless example.key?(part)

    WebHelp::OPENAPI.ref(at).validate(example[part]).first(1).map { |error| "#{part}: #{error["error"]}" }
  end

  it "stand with every operation, and are what it takes and answers" do
    wrong = operations.flat_map do |place, operation|
      example = examples.fetch(operation["operationId"], {"status" => "200"})
      answers = operation["responses"].slice("200", "201", "202").select { |code, body| schema_at(code, body) }
      code = answers.key?(example["status"]) ? example["status"] : answers.keys.first
      found = faults(schema_at("#{place}/requestBody", operation["requestBody"]), example, "request")
      found += faults(schema_at("#{place}/responses/#{code}", answers[code]), example, "response") if code
      found.map { |fault| "#{operation["operationId"]}: #{fault}" }
    end
    expect(wrong).to eq([])
  end

  it "are handed out with the document" do
    answered = ask(:get, "/api/openapi.json").dig("paths", "/api/tokens", "post")
    expect(answered.dig("requestBody", "content", "application/json", "example")).to include("role" => "reader")
    expect(answered.dig("responses", "201", "content", "application/json", "example")).to include("token")
  end

  it "tell nothing that is secret, and are short enough to be read" do
    sizes = examples.transform_values { |example| JSON.generate(example).bytesize }
    expect(JSON.generate(examples)).not_to match(RecordedExamples::SECRETS)
    # Some that tell of every rule are longer.
    expect(sizes.count { |_, bytes| bytes > RecordedExamples::LARGEST }).to be < 4
    expect(sizes.values.sum).to be < 200_000
  end
end
