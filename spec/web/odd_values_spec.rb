# frozen_string_literal: true

require "stringio"
require "web_helper"

# Every operation of the document, with one odd value at a time in each place that it takes one: in its path,
# its question and its body. Whatever it is, it is taken or refused in words.
RSpec.describe "Odd values over HTTP" do
  odd = [
    "",
    "\u0000",
    "a\u0000b",
    "x\ny",
    "☃",
    "-1",
    "0",
    "1e400",
    "99999999999999999999",
    "NaN",
    "x" * 3_000,
    "'; DROP TABLE pieces; --",
    "%",
    "../..",
    "utf-7",
    nil,
    true,
    0,
    -1,
    2**70,
    1.5,
    [],
    {},
    [nil],
    [[1]],
    {"a" => {"b" => nil}},
    "\u202E",
    "=1+1"
  ]
  parts = {
    "table" => "pieces",
    "field" => "piece",
    "rule" => "r39",
    "id" => "1",
    "batch" => "1",
    "list" => "l102",
    "filter" => "x",
    "job" => "x",
    "revision" => "1",
    "entry" => "1",
    "form" => "m1",
    "other" => "orders",
    "link" => "member",
    "proof" => "p1",
    "name" => "x"
  }
  # Those that take the place of everything, end what the others need, or wait for somebody.
  apart = %w[
    restoreBackup
    signOut
    signIn
    signInToDemo
    setUp
    endDemo
    changeOwnPassword
    makeAnonymous
    endSession
    endOtherSessions
    changePerson
    addPerson
  ]
  operations =
    WebHelp::DOCUMENT["paths"].flat_map do |path, item|
      item
        .slice("get", "post", "put", "patch", "delete")
        .map { |verb, operation| [verb, path, operation, [*item["parameters"], *operation["parameters"]]] }
    end

  def address(path, parts) =
    path.gsub(/\{(\w+)\}/) { Rack::Utils.escape_path(parts.fetch(Regexp.last_match(1)).to_s) }

  # Values for the parts of a body that are sound as far as the document says.
  def sound(schema)
    schema = WebHelp::DOCUMENT.dig(*schema["$ref"].delete_prefix("#/").split("/")) if schema["$ref"]
    return schema["enum"].first if schema["enum"]

    case Array(schema["type"]).first
    when "object"
      (schema["required"] || []).to_h { |name| [name, sound(schema.dig("properties", name) || {})] }
    when "array"
      []
    when "integer", "number"
      1
    when "boolean"
      false
    else
      "x"
    end
  end

  def body_of(operation)
    schema = operation.dig("requestBody", "content", "application/json", "schema") or return
    schema = WebHelp::DOCUMENT.dig(*schema["$ref"].delete_prefix("#/").split("/")) if schema["$ref"]
    [sound(schema), (schema["properties"] || {}).keys]
  end

  def send_odd(verb, path, body)
    custom_request(
      verb.upcase,
      path,
      body && JSON.generate(body),
      {"CONTENT_TYPE" => "application/json", "HTTP_X_WRITE_KEY" => @write_key}
    )
    last_response.status
  rescue URI::InvalidURIError
    400
  end

  operations
    .each_slice((operations.length / 4.0).ceil)
    .with_index do |some, group|
      it "are taken or refused in words, group #{group + 1}", :tampers do
        random = Random.new(RSpec.configuration.seed + group)
        said = StringIO.new
        $stderr, before = said, $stderr
        broken = []
        some
          .reject { |_, _, operation, _| apart.include?(operation["operationId"]) }
          .each do |verb, path, operation, parameters|
            sound_body, names = body_of(operation)
            queries =
              parameters
                .map do |each|
                  each["$ref"] ? WebHelp::DOCUMENT.dig(*each["$ref"].delete_prefix("#/").split("/")) : each
                end
                .select { |each| each["in"] == "query" }
                .map { |each| each["name"] }
            tries =
              path
                .scan(/\{(\w+)\}/)
                .flatten
                .flat_map do |name|
                  Thorough
                    .some(odd.grep(String), 2, random)
                    .map { |value| [parts.merge(name => (value.empty? ? "%20" : value)), {}, sound_body] }
                end
            tries +=
              queries.flat_map do |name|
                Thorough.some(odd.grep(String), 2, random).map { |value| [parts, {name => value}, sound_body] }
              end
            tries +=
              names.to_a.flat_map do |name|
                Thorough.some(odd, 2, random).map { |value| [parts, {}, sound_body.merge(name => value)] }
              end
            tries.each do |places, query, body|
              at = address(path, places) + (query.any? ? "?#{Rack::Utils.build_query(query)}" : "")
              status = send_odd(verb, at, body)
              if status >= 500 && !last_response.body.include?("too_slow")
                broken << [operation["operationId"], at[0, 120], body.to_s[0, 200], last_response.body[0, 120]]
              end
              sign_in_as("Odile Marsh") if status == 401
            end
          end
        raise broken.map(&:inspect).join("\n") if broken.any?
        expect(said.string).not_to match(/SELECT|INSERT|UPDATE/)
      ensure
        $stderr = before
      end
    end
end
