# frozen_string_literal: true

require "web_helper"

RSpec.describe "A rule that is being written, over HTTP" do
  include WebHelp

  before { sign_in_as("Odile Marsh") }

  it "is tried at its own edges in the place of the one that is kept, and nothing stays of it" do
    rule = workspace.table("pieces").rules.find { |each| each.field == "hold" && each.kind == "limits" }
    before = [UpTack::Store::Revision.count, pieces.count]
    found = ask(:post, "/api/tables/pieces/edges", {draft: rule.attributes.merge("high" => "5")})
    by_words = found["suggestions"].to_h { |each| [each["words"].first[/\A[^:]+/], each] }
    expect(by_words["Above the maximum"]).to include("state" => "refused")
    expect(by_words["Exactly on the maximum"]["state"]).to eq("saved")
    expect(by_words["Exactly on the maximum"]["script"]["acts"].last["values"]).to include("hold" => "5")
    expect(
      ask(:post, "/api/tables/pieces/edges", {draft: {kind: "required", field: "maker_note"}})[
        "suggestions"
      ].map { |each| each["state"] }
    ).to include("refused", "saved")
    expect(
      [
        ask(:post, "/api/tables/pieces/edges", {draft: {kind: "check", field: "hold", formula: "hold <"}}),
        status
      ].last
    ).to eq(422)
    expect([ask(:post, "/api/tables/pieces/edges", {draft: "x"}), status].last).to eq(400)
    expect([UpTack::Store::Revision.count, pieces.count]).to eq(before)
  end

  it "is tried on one case over the real records, and says what it sets or refuses there" do
    table = workspace.table("pieces").rules.find { |each| each.kind == "decision" }.attributes
    rows = table["rows"].map { |row| (row.first == "Raku") ? ["Raku", "999", "", "7"] : row }
    found =
      ask(
        :post,
        "/api/tables/pieces/edges",
        {draft: table.merge("rows" => rows), typed: {firing: "Raku", maker: 2}}
      )[
        "suggestions"
      ]
    expect(found.first["expects"]).to eq(["Peak °C is 999", "Ramp °C an hour is blank", "Hold minutes is 7"])
    check = {kind: "check", field: "hold", formula: "hold < 5", message: "Shorter."}
    expect(
      ask(:post, "/api/tables/pieces/edges", {draft: check, typed: {hold: "6"}})["suggestions"].first["expect"]
    ).to match([a_hash_including("what" => "refused", "message" => "Shorter.")])
    expect(
      ask(:post, "/api/tables/pieces/edges", {draft: check, typed: {hold: "4"}})["suggestions"].first["expect"]
    ).to eq([])
    expect([ask(:post, "/api/tables/pieces/edges", {draft: check, typed: {depth: 1}}), status].last).to eq(422)
  end

  it "is warned of a fixed text that is no choice, with no records too, and marked on the " \
    "board once a choice is gone" do
    change(:AddTable, label: "Glazes")
    change(:AddField, table: "glazes", parts: {"label" => "Look", "type" => "choice", "choices" => %w[Matt Gloss]})
    preview =
      ask(
        :post,
        "/api/tables/glazes/rules/preview",
        {kind: "default", field: "look", formula: 'if name = "x" then "Mat" else "Gloss"'}
      )
    expect(preview["warnings"].map { |each| each["message"] }).to eq(
      ["Look has no choice “Mat”; did you mean “Matt”?"]
    )
    change(
      :PinRule,
      table: "glazes",
      rule: {
        "kind" => "check",
        "field" => "name",
        "formula" => 'look <> "Gloss" or len(name) > 2',
        "message" => "Longer."
      }
    )
    change(:ChangeField, table: "glazes", field: "look", parts: {"choices" => %w[Matt Satin]})
    expect(ask(:get, "/api/tables/glazes")["rules"].map { |each| each["notice"] }).to eq(
      ["Look has no choice “Gloss”."]
    )
  end
end
