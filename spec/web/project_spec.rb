# frozen_string_literal: true

require "web_helper"

RSpec.describe "The project file over HTTP" do
  before { sign_in_as("Odile Marsh") }

  let(:demo) { File.read(UpTack::Installation.path("demo", "kiln_share.json")) }

  it "comes out as a file to keep, and the rule sheet as Markdown" do
    custom_request("GET", "/api/project")
    expect(last_response.headers["Content-Disposition"]).to include("ember_lane_kiln_share.json")
    expect(last_response.body).to eq(demo)
    UpTack::Proving.wake
    UpTack::Proving.join
    sheet = ask(:get, "/api/sheet.md")
    expect(sheet).to include(
      "93 of 103 rules proven; 60 of 62 proofs pass.",
      "- Clay weight g + Tare g must equal Wet weight g. The scale is read with the " \
        "piece on its bat. *(proven, 5 of 5 cases covered; by “Clay and tare add up to the wet weight”)*"
    )
  end

  it "shows what it would change, then changes it" do
    changed = demo.sub('"high": "6"', '"high": "8"')
    preview = ask(:post, "/api/project/preview", {file: changed})
    expect(preview["differences"].map { |each| each["place"] }).to include("Shelves rented of Members")
    expect(demo_rule("limits", "shelves", of: "members").attributes["high"]).to eq("6")
    ask(:post, "/api/project/bring-in", {file: changed})
    expect(demo_rule("limits", "shelves", of: "members").attributes["high"]).to eq("8")
  end

  it "is refused whole, with everything that is wrong" do
    ask(
      :post,
      "/api/project/bring-in",
      {file: demo.sub("received + 14", "recieved + 14").sub('"kind": "check"', '"kind": "chek"')}
    )
    expect(status).to eq(422)
    expect(JSON.parse(last_response.body)["mistakes"].map { |each| each["place"] }).to include(
      "tables › members › rules › r16 › kind",
      "tables › pieces › rules › r42 › formula"
    )
    [
      [{file: 5}, 400],
      [{}, 400],
      [{file: ""}, 422],
      [{file: "\u0000"}, 422],
      [{file: demo[0, 3_000]}, 422],
      [{file: "{}"}, 422]
    ].each do |body, code|
      ask(:post, "/api/project/preview", body)
      expect([body.to_s[0, 40], status]).to eq([body.to_s[0, 40], code])
    end
  end

  it "takes no script, proof or wish that can't be played" do
    [
      [:bench, {acts: "x"}],
      [:bench, {acts: [{do: "dance"}]}],
      [:bench, {acts: [{do: "type", field: 5}]}],
      [:bench, {at: "someday"}],
      [:bench, {start: "x"}],
      [:bench, {person: "x"}],
      [:bench, {records: {pieces: [1]}}],
      [:bench, {records: {pieces: {"1" => {weight: {a: 1}}}}}],
      [:bench, {acts: [{do: "fill_in", values: {nothing: 1}}]}],
      [:bench, {expect: [{what: "x"}]}],
      [:bench, {expect: [{what: "saved", act: 0}]}],
      [:bench, {acts: [{do: "wait", days: -1}]}],
      [:bench, {acts: [{do: "lines", table: "orders", link: "member", rows: []}]}],
      [:bench, {acts: [{do: "lines", table: 5, link: "x", rows: [1]}]}],
      [:bench, {start: {from: "copy"}}],
      [:bench, {records: {members: {"1" => {joined: "someday"}}}}],
      [:samples, {count: 0}],
      [:samples, {count: 5_000_000}],
      ["samples/failing", {rule: demo_rule("default", "firing").id, count: 3}],
      ["samples/failing", {rule: demo_rule("check", "wet_weight", /tare = wet/).id, count: 99_999}],
      [:proofs, {proofs: [{name: "", at: "2026-11-23T09:30", expect: [{what: "saved"}]}]}],
      [:proofs, {proofs: [{name: "x", at: "2026-11-23T09:30", expect: []}]}]
    ].each do |way, body|
      ask(:post, "/api/tables/pieces/#{way}", body)
      expect([way, body, status]).to eq([way, body, 422])
    end
    [
      [:bench, {form: 5}, 400],
      [:bench, {form: "m999"}, 404],
      [:bench, {person_id: 77}, 404],
      [:bench, {start: {from: "real", record: 9_999}}, 404],
      [:edges, {rule: "r9999"}, 404],
      [:edges, {rule: 5}, 400],
      [:proofs, {proofs: "x"}, 400],
      [:proofs, {proofs: []}, 400],
      ["samples/failing", {rule: "r9999", count: 1}, 404],
      [:samples, {count: "x"}, 400]
    ].each do |way, body, code|
      ask(:post, "/api/tables/pieces/#{way}", body)
      expect([way, body, status]).to eq([way, body, code])
    end
    ask(:get, "/api/tables/pieces/proofs/p9999")
    expect(status).to eq(404)
    ask(:delete, "/api/tables/pieces/proofs/p9999")
    expect(status).to eq(422)
  end
end
