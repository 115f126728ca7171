# frozen_string_literal: true

require "web_helper"

# What scripts rely on in HTTP itself (RFC 9110), whatever they ask for.
RSpec.describe "HTTP as scripts know it" do
  include WebHelp

  before { sign_in_as("Odile Marsh") }

  it "says where a new record is, and saves or deletes it only while it is as it was answered" do
    ask(:post, "/api/tables/pieces/records", {typed: good_piece})
    expect(status).to eq(201)
    at = last_response.headers["Location"]
    ask(:get, at)
    tag = last_response.headers["ETag"]
    get(at, {}, {"HTTP_IF_NONE_MATCH" => tag})
    expect(status).to eq(304)
    ask(:patch, at, {typed: {maker_note: "mine"}}, {"HTTP_IF_MATCH" => tag})
    expect(status).to eq(200)
    newer = last_response.headers["ETag"]
    expect(newer).not_to eq(tag)
    told = ask(:patch, at, {typed: {maker_note: "late"}}, {"HTTP_IF_MATCH" => tag})
    expect([status, told["code"], told["record"]["texts"]["maker_note"]]).to eq([412, "changed_meanwhile", "mine"])
    ask(:delete, at, nil, {"HTTP_IF_MATCH" => tag})
    expect(status).to eq(412)
    ask(:patch, at, {typed: {maker_note: "any"}}, {"HTTP_IF_MATCH" => "*"})
    expect(status).to eq(200)
    ask(:patch, at, {typed: {maker_note: "odd"}}, {"HTTP_IF_MATCH" => "W/\"x\""})
    expect(status).to eq(400)
    ask(:get, at)
    ask(:delete, at, nil, {"HTTP_IF_MATCH" => last_response.headers["ETag"]})
    expect(status).to eq(204)
  end

  it "has scripts say which version they change, where a builder wants that" do
    token = ask(:post, "/api/tokens", {name: "Scale", role: "clerk", days: 1})["token"]
    script = {"HTTP_AUTHORIZATION" => "Bearer #{token}"}
    at = "/api/tables/pieces/records/5"
    batch = ->(record) { ask(:post, "/api/tables/pieces/batch", {records: [record]}, script) && status }
    expect(ask(:get, "/api/scripts")).to eq("name_versions" => false)
    expect(batch.call({id: 5, typed: {maker_note: "one"}})).to eq(200)
    expect(ask(:patch, "/api/scripts", {name_versions: true})).to eq("name_versions" => true)
    expect(ask(:get, "/api/security").first.to_s).to include("say which version they change")
    # Whoever works in a browser says it anyway, and is asked for nothing more.
    ask(:patch, at, {typed: {maker_note: "two"}})
    expect(status).to eq(200)
    sign_nobody_in
    version = ask(:get, at, nil, script)["version"]
    expect(ask(:patch, at, {typed: {maker_note: "three"}}, script)["code"]).to eq("version_needed")
    ask(:patch, at, {typed: {maker_note: "three"}}, {"HTTP_IF_MATCH" => "*", **script})
    expect(status).to eq(428)
    ask(:delete, at, nil, script)
    expect(status).to eq(428)
    expect(batch.call({id: 5, typed: {maker_note: "four"}})).to eq(428)
    expect(batch.call({id: 5, version: version, typed: {maker_note: "four"}})).to eq(200)
    expect(batch.call({typed: good_piece})).to eq(200)
    ask(:patch, at, {typed: {maker_note: "five"}, version: version}, script)
    expect(status).to eq(409)
    ask(:patch, "/api/scripts", {name_versions: false}, script)
    expect(status).to eq(403)
  end

  it "names the methods that an address knows, and how to sign in" do
    custom_request("PUT", "/api/tables/pieces/records", "{}", {"CONTENT_TYPE" => "application/json"})
    expect([status, last_response.headers["Allow"]]).to eq([405, "GET, POST"])
    custom_request("PUT", "/api/nowhere", "{}", {"CONTENT_TYPE" => "application/json"})
    expect(status).to eq(404)
    sign_nobody_in
    ask(:get, "/api/tables")
    expect([status, last_response.headers["WWW-Authenticate"]]).to eq([401, "Bearer realm=\"Up Tack\""])
  end

  it "refuses a parameter that an operation does not know, and says which it knows" do
    WebHelp::DOCUMENT["paths"].each do |path, item|
      next unless item["get"]

      asked = path.gsub("{table}", "pieces").gsub(/\{\w+\}/, "1")
      get("#{asked}?surely_not=1")
      problem = JSON.parse(last_response.body)
      expect([path, status, problem["code"], problem["title"]]).to match([path, 400, "malformed", /`surely_not`/])
    end
    told = ask(:get, "/api/tables/pieces/records?filtre=peak")
    expect(told["title"]).to include("filter").and include("cursor")
  end
end
