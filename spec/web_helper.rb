# frozen_string_literal: true

require "json_schemer"
require "rack/test"
require "yaml"
require "store_helper"
require_relative "../web/lib/up_tack/web"
require_relative "support/recorded_examples"

# Every answer to a request made here is held against the OpenAPI document: its
# path, its status, its content type and the shape of its body.
module WebHelp
  include Rack::Test::Methods

  DOCUMENT = YAML.load_file(UpTack::Installation.path("web", "openapi.yaml"))
  OPENAPI = JSONSchemer.openapi(DOCUMENT)
  SEEN = Hash.new { |hash, operation| hash[operation] = Set.new }

  def app = UpTack::Web::Application
  def default_host = "localhost"

  # Signs somebody in, as a browser of their own would be.
  def sign_in_as(name)
    clear_cookies
    session, token = UpTack::Store::Session.begin(person(name))
    set_cookie("#{UpTack::Web::Guard::Cookies::NAME}=#{Rack::Utils.escape(UpTack::Web::Guard::Cookies.seal(token))}")
    @write_key = UpTack::Web::Guard::Cookies.write_key(token)
    session
  end

  # Nobody is signed in from here on.
  def sign_nobody_in
    clear_cookies
    @write_key = nil
  end

  # @return [Object] the parsed body
  def ask(method, path, body = nil, headers = {})
    body = body.is_a?(String) ? body : JSON.generate(body) if body
    custom_request(
      method.to_s.upcase,
      path,
      body,
      {"CONTENT_TYPE" => "application/json", "HTTP_X_WRITE_KEY" => @write_key}.compact.merge(headers)
    )
    hold_against_document(method.to_s, path.split("?").first)
    record_example(method.to_s, path.split("?").first, body) if RecordedExamples.on?
    if last_response.media_type == "application/x-ndjson"
      return last_response.body.lines.map { |line| JSON.parse(line) }
    end

    return last_response.body unless last_response.media_type.to_s.match?(/json/) || last_response.body.empty?

    last_response.body.empty? ? nil : JSON.parse(last_response.body)
  end

  def status = last_response.status

  private

  # @return [Hash, nil] the operation of the document that answers this
  def operation_at(method, path)
    DOCUMENT["paths"].each_value.find { |operations|
      template = DOCUMENT["paths"].key(operations)
      operations.key?(method) && path.match?(/\A#{Regexp.escape(template).gsub(/\\\{\w+\\\}/, "[^/]+")}\z/)
    }&.fetch(method)
  end

  # @return [Hash, nil] what an operation answers with this status
  def response_of(operation, code)
    response = operation["responses"][code.to_s] || operation["responses"]["default"]
    response&.key?("$ref") ? DOCUMENT.dig("components", "responses", response["$ref"].split("/").last) : response
  end

  def hold_against_document(method, path)
    operation = operation_at(method, path)
    return expect(status).to(be_between(400, 499), "#{method} #{path} is not in the document") unless operation

    SEEN[operation["operationId"]] << status
    response = response_of(operation, status)
    expect(response).not_to be_nil, "#{method} #{path} answered #{status}, which the document does not have"
    return expect(last_response.body).to(be_empty) unless response["content"]

    expect(response["content"].keys).to include(last_response.media_type), last_response.body
    type, media = response["content"].find { |each, _| each == last_response.media_type }
    return lines_are_previews if type == "application/x-ndjson" && path.end_with?("/preview")
    return unless type.include?("json") && type != "application/x-ndjson"

    expect(misfits(media["schema"], JSON.parse(last_response.body))).to be_empty
  end

  def record_example(method, path, body)
    operation = operation_at(method, path) or return
    sent = JSON.parse(body) if body.is_a?(String) && operation.dig("requestBody", "content", "application/json")
    answered = JSON.parse(last_response.body) if last_response.media_type == "application/json"
    RecordedExamples.note(operation["operationId"], status, sent, answered) do |part, example|
      content = (part == :request) ? operation["requestBody"] : response_of(operation, status)
      shape = content&.dig("content", "application/json", "schema")
      shape && misfits(shape, example).empty?
    end
  rescue JSON::ParserError
    nil # Sent on purpose.
  end

  # @return [Array<String>] where data are not as a schema of the document says
  def misfits(schema, data) =
    schema(schema).validate(data).map { |error| "#{error["data_pointer"]}: #{error["error"]}" }

  def lines_are_previews
    errors = last_response.body.lines.flat_map { |line| OPENAPI.schema("Preview").validate(JSON.parse(line)).to_a }
    expect(errors).to be_empty
  end

  SCHEMAS = {}
  private_constant :SCHEMAS

  def schema(schema)
    return OPENAPI.schema(schema["$ref"].split("/").last) if schema["$ref"]

    SCHEMAS[schema] ||=
      JSONSchemer.schema(
        JSON.parse(JSON.generate(schema).gsub("#/components/schemas/", "#/$defs/")).merge(
          "$defs" =>
            JSON.parse(JSON.generate(DOCUMENT.dig("components", "schemas")).gsub("#/components/schemas/", "#/$defs/"))
        )
      )
  end
end

RSpec.configure do |config|
  config.after(:suite) { RecordedExamples.write } if RecordedExamples.on?
  config.define_derived_metadata(file_path: %r{/spec/web/}) { |metadata| metadata[:web] = true }
  config.include WebHelp, :web
  # On a machine that stalls for a moment a change would be answered as a job,
  # which has examples of its own.
  config.before(:each, :web) { stub_const("UpTack::Web::Helpers::Background::PATIENCE", 30) }
  config.before(:each, :web) { sign_in_as("Odile Marsh") }
  config.before(:each, :store) { UpTack::Web::Application && UpTack::Store::Shared.clear }
end
