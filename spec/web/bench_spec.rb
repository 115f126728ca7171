# frozen_string_literal: true

require "web_helper"

RSpec.describe "The bench over HTTP" do
  include WebHelp

  before { sign_in_as("Odile Marsh") }
  after { UpTack::Proving.stop }

  let(:script) do
    {
      form: workspace.table("pieces").forms.find { |form| form.name == "Reception" }.id,
      at: "2026-11-23T09:30",
      acts: [
        {do: "type", field: "maker", value: 1},
        {do: "type", field: "piece", value: "Mug"},
        {do: "type", field: "clay_weight", value: "640"},
        {do: "type", field: "wet_weight", value: "700"},
        {do: "save"}
      ]
    }
  end

  it "plays a script over the real records and leaves them as they are" do
    before = pieces.count
    trial = ask(:post, "/api/tables/pieces/bench", script)
    expect(trial["outcome"]).to include("state" => "refused", "thought_of" => false)
    expect(trial["acts"].map { |act| act["state"] }).to eq(%w[typed typed typed typed refused])
    check = trial["steps"].find { |step| step["result"] == "refused" }
    expect(check["parts"].first["parts"].map { |part| part.values_at("words", "value") }).to eq(
      [["Clay weight g + Tare g", "695"], ["Wet weight g", "700"]]
    )
    expect(trial["why"]["tag"]["words"]).to include("comes from")
    expect(trial["why"]["verdict"]["words"]).to match(/is blank because rule .* was skipped: /)
    expect(pieces.count).to eq(before)
  end

  it "saves, edits, copies, deletes and puts back without touching anything" do
    acts = [
      *script[:acts].first(3),
      {do: "type", field: "wet_weight", value: "695"},
      {do: "save"},
      {do: "type", field: "stage", value: "Collected"},
      {do: "wait", days: 3},
      {do: "save"},
      {do: "delete"},
      {do: "put_back"},
      {do: "copy"},
      {do: "save"}
    ]
    trial = ask(:post, "/api/tables/pieces/bench", script.merge(acts: acts))
    expect(trial["acts"].map { |act| act["state"] }).to eq(
      %w[typed typed typed typed saved typed done saved deleted back done saved]
    )
    expect(trial["clock"]).to eq("2026-11-26T09:30")
    expect(trial["outcome"]["changes"].find { |change| change["field"] == "tag" }["after"]).to eq("PC-00030")
    expect(
      workspace.context.counters.next(
        demo_rule("number", "tag").compile(workspace.table("pieces")).counting("")
      )
    ).to eq(29)
  end

  it "offers the links of a trial its own records alone" do
    own = {members: {"1" => {name: "Ansa Own"}, "7" => {name: "Bela Own"}}}
    found = ask(:post, "/api/tables/pieces/fields/maker/candidates", {text: "own", typed: {piece: "Mug"}, records: own})
    expect(found.map { |match| match.values_at("id", "title") }).to eq([[1, "Ansa Own"], [7, "Bela Own"]])
    expect(ask(:post, "/api/tables/pieces/fields/maker/candidates", {text: "velt", records: own})).to eq([])
    expect(
      [
        ask(:post, "/api/tables/pieces/fields/maker/candidates", {text: "", records: {members: {x: 5}}}),
        status
      ].last
    ).to be_between(400, 422)
  end

  it "keeps a trial as a proof, runs it, and says what a rule would do to it" do
    seen = ask(:post, "/api/tables/pieces/bench", script.merge(propose: true))
    expect(seen["script"]["records"].keys).to include("members")
    expect(seen["proposed"].first).to include(
      "words" => "it is refused by “clay + tare = wet” with “Clay and tare must add up to the wet weight.”",
      "usual" => true
    )
    proof =
      seen["script"].merge(
        "name" => "Weights must add up",
        "group" => "Weights",
        "expect" => [seen["proposed"].first["expectation"]]
      )
    id = ask(:post, "/api/tables/pieces/proofs", {proofs: [proof]})["ids"].first
    UpTack::Proving.join
    line = ask(:get, "/api/proofs")["proofs"].find { |each| each["id"] == id }
    expect(line).to include("name" => "Weights must add up", "state" => "passed")

    rule = demo_rule("check", "wet_weight", /tare = wet/).attributes
    found = ask(:post, "/api/tables/pieces/rules/proofs", rule.merge("formula" => "clay_weight + tare <= wet_weight"))
    expect(found["broken"].map { |each| each["id"] }).to include(id)
    ask(:put, "/api/tables/pieces/rules/#{demo_rule("check", "wet_weight", /tare = wet/).id}",
      rule.except("id").merge("formula" => "clay_weight + tare <= wet_weight"))
    UpTack::Proving.join
    line = ask(:get, "/api/proofs")["proofs"].find { |each| each["id"] == id }
    expect(line["state"]).to eq("broken")
    expect(line["first_step"]).to include(
      "stage" => "Validate",
      "was" => "refused: Clay and tare must add up to the wet weight."
    )
    ask(:delete, "/api/tables/pieces/proofs/#{id}")
    expect(status).to eq(204)
  end

  it "counts the mistakes that proofs notice, and makes a record for one that slips through" do
    count = ask(:get, "/api/tables/orders/mistakes")
    expect(count["state"]).to eq("waiting")
    UpTack::Proving.wake
    UpTack::Proving.join
    ask(:get, "/api/tables/orders/mistakes")
    UpTack::UseCases::Proofs::Mistakes.join
    count = ask(:get, "/api/tables/orders/mistakes")
    expect(count).to include("state" => "ready", "done" => workspace.table("orders").rules.length)
    expect(count["tried"] - count["noticed"]).to eq(count["slipping"].length)
    expect(count["harmless"].map { |each| each["why"] }).to all(end_with("."))
    slip = count["slipping"].find { |each| !each["alike"] }
    made =
      ask(:post, "/api/tables/orders/mistakes/record", {rule: slip["rule"], mistake: slip["mistake"]})[
        "suggestion"
      ]
    expect(made["words"].first).to include("notices")
    expect(made["expect"]).not_to be_empty
    expect(ask(:post, "/api/tables/orders/edges", {})["suggestions"].map { |each| each["script"] }).to include(
      made["script"]
    )
    expect([ask(:post, "/api/tables/orders/mistakes/record", {rule: "r999999", mistake: 0}), status].last).to eq(
      404
    )
    expect([ask(:post, "/api/tables/orders/mistakes/record", {rule: slip["rule"]}), status].last).to eq(400)
  end

  it "stops counting what a change of the design has made of no use, and begins again" do
    mistakes = UpTack::UseCases::Proofs::Mistakes
    UpTack::Proving.wake
    UpTack::Proving.join
    ask(:get, "/api/tables/pieces/mistakes")
    change(:ChangeTable, table: "orders", parts: {"note" => "Another state"})
    UpTack::Proving.wake
    UpTack::Proving.join
    expect(ask(:get, "/api/tables/pieces/mistakes")["state"]).to eq("running")
    mistakes.stop
    expect(mistakes.join).to be(true)
    expect(mistakes.instance_variable_get(:@counting)).to be_empty
    expect(ask(:get, "/api/tables/pieces/mistakes")).to include("state" => "running", "done" => 0)
  end

  it "counts mistakes again once the proofs are run again, where they could not be counted" do
    UpTack::Proving.wake
    UpTack::Proving.join
    state = lambda do
      ask(:get, "/api/tables/clays/mistakes")
      UpTack::UseCases::Proofs::Mistakes.join
      ask(:get, "/api/tables/clays/mistakes")["state"]
    end
    stub_const("UpTack::UseCases::Proofs::Mistakes::SCRIPT", "/nowhere.rb")
    expect(state.call).to eq("failed")
    RSpec::Mocks.space.reset_all
    ask(:post, "/api/proofs/run")
    UpTack::Proving.join
    expect(state.call).to eq("ready")
  end

  it "suggests records at the edges, for a table, a rule or one thing that is missing" do
    found = ask(:post, "/api/tables/clays/edges", {rule: demo_rule("check", "limit", of: "clays").id})
    expect(found["sound"]).to be(true)
    limits =
      found["suggestions"].flat_map do |each|
        each["script"]["acts"].filter_map { |act| act["values"] }.last.to_h["limit"]
      end
    expect(limits).to include("899", "900", "901", "1319", "1320", "1321")
    one = ask(:post, "/api/tables/clays/edges", {rule: demo_rule("check", "limit", of: "clays").id, point: "refused"})
    expect(one["suggestions"].first["state"]).to eq("refused")
  end

  it "makes up records and takes them out again in one go" do
    before = UpTack::Store::RecordTable.new(workspace.table("members")).count
    made = ask(:post, "/api/tables/members/samples", {count: 20, seed: 7})
    expect(made).to include("made" => 20, "given_up" => 0)
    names = UpTack::Store::RecordTable.model("members").order(:id).last(20).map { |row| row["name"] }
    expect(ask(:get, "/api/tables/members/samples").map { |each| each["batch"] }).to eq([made["batch"]])
    ask(:post, "/api/history/batches/#{made["batch"]}/undo")
    expect(UpTack::Store::RecordTable.new(workspace.table("members")).count).to eq(before)
    ask(:post, "/api/tables/members/samples", {count: 20, seed: 7})
    expect(UpTack::Store::RecordTable.model("members").order(:id).last(20).map { |row| row["name"] }).to eq(names)
  end

  it "makes up records that one rule refuses, and saves none" do
    found = ask(:post, "/api/tables/pieces/samples/failing",
      {rule: demo_rule("check", "wet_weight", /tare = wet/).id, count: 5, seed: 3})
    expect(found["records"].map { |each| each["message"] }.uniq).to eq(["Clay and tare must add up to the wet weight."])
    expect(found["records"].length).to eq(5)
  end
end
