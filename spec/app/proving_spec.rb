# frozen_string_literal: true

require "store_helper"

RSpec.describe "Proving, in the store" do
  def overview = UpTack::UseCases::Proofs::Overview.new(workspace)

  def until_proven
    UpTack::Proving.wake
    UpTack::Proving.join
  end

  def line(name) = UpTack::UseCases::Proofs::Overview.new(workspace).lines.find { |each| each.proof.name == name }

  def change_rule(id, **parts) =
    change(
      :PinRule,
      table: "pieces",
      rule: workspace.table("pieces").rule(id).attributes.merge(parts.transform_keys(&:to_s))
    )

  it "runs all proofs of the demo, tells how far they cover it, and what of it is broken" do
    expect(overview.lines.map(&:state).uniq).to eq(["waiting"])
    until_proven
    expect(overview.lines.map(&:state).tally).to eq("passed" => 60, "broken" => 2)
    states = overview.coverage.all.to_h { |covered| [covered.rule.id, covered.state] }
    sum = demo_rule("check", "wet_weight", /tare = wet/).id
    others = [demo_rule("check", "peak", /clay.limit/), demo_rule("required", "text", of: "titles")].map(&:id)
    expect(states.values_at(sum, *others)).to eq(%w[proven broken untried])
    expect(overview.coverage.all.find { |covered| covered.rule.id == sum }.proofs.length).to eq(1)
  end

  it "runs them again after every change, and tells the first step that differs from the last good run" do
    until_proven
    change_rule(demo_rule("default", "received").id, formula: "today() - 1")
    expect(line("Defaults to bisque, drying, received today by the person signed in").state).to eq("waiting")
    until_proven
    broken = line("Defaults to bisque, drying, received today by the person signed in")
    expect(broken.run.differences).to match(
      [a_hash_including("expected" => "Received is 23 Nov 2026", "actual" => "Received is 22 Nov 2026")]
    )
    expect(broken.run.first_difference).to include(
      "stage" => "default",
      "field" => "received",
      "was" => "blank → 23 Nov 2026",
      "now" => "blank → 22 Nov 2026"
    )
    design.undo
    until_proven
    expect(line("Defaults to bisque, drying, received today by the person signed in").state).to eq("passed")
  end

  it "says before a rule is saved which proofs it would break, and which it would mend" do
    endangered = ->(id, **parts) do
      UpTack::UseCases::Proofs::AffectedProofs.new(workspace).call(
        table: "pieces",
        change:
          Core::Design::Changes::PinRule.new(
            table: "pieces",
            rule: workspace.table("pieces").rule(id).attributes.merge(parts.transform_keys(&:to_s))
          )
      )
    end
    expect(endangered.call(demo_rule("limits", "peak").id, high: "1299").broken.map { |each| each.proof.name }).to eq(
      ["Peak from 600 to 1300 °C, hold from 0 to 90 minutes"]
    )
    expect(endangered.call(demo_rule("check", "peak", /clay.limit/).id, old: "check").mended.map { |each|
      each.proof.name
    }).to eq(
      ["A peak above the clay's limit is refused in existing records too"]
    )
    expect(endangered.call(demo_rule("limits", "peak").id,
      note: "Measured.")).to have_attributes(broken: [], mended: [], tried: be > 30)
  end

  it "makes a trial over real records stand by itself, with the records that it looked at" do
    script = {
      "form" => "all",
      "acts" => [
        {"do" => "type", "field" => "maker", "value" => 3},
        {"do" => "type", "field" => "piece", "value" => "Mug"},
        {"do" => "type", "field" => "clay", "value" => 2},
        {"do" => "type", "field" => "shelf_code", "value" => "kd017"},
        {"do" => "save"}
      ]
    }
    played = UpTack::UseCases::Proofs::Play.new(workspace).call(table: "pieces", script: script, propose: true)
    expect(played.script["records"].keys).to include("members", "clays")
    proof = played.script.merge("name" => "By itself", "expect" => played.proposed.select(&:usual).map(&:attributes))
    change(:SaveProof, table: "pieces", proofs: [proof])
    save_piece({"piece" => "Mug", "maker" => 3, "shelf_code" => "kd017"})
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "members", id: 3,
      typed: {"name" => "Somebody Else"})
    until_proven
    expect(line("By itself").state).to eq("passed")
  end

  describe "made-up records" do
    let(:make) { UpTack::UseCases::Proofs::GenerateRecords.new(workspace) }

    it "pass the rules, stand in the log as one change, and go again in one, but for those that somebody touched" do
      before = pieces.count
      result = make.call(table: "pieces", count: 60, seed: 5)
      expect(result).to have_attributes(made: 60, given_up: 0)
      expect(pieces.count).to eq(before + 60)
      newest = UpTack::Store::RecordTable.model("pieces").maximum(:id)
      save_piece({"maker_note" => "kept"}, id: newest)
      undone = UpTack::UseCases::History::UndoBatch.new(workspace).call(result.batch.id)
      expect(undone).to have_attributes(undone: 59, left: 1)
      expect(pieces.count).to eq(before + 1)
      expect(UpTack::Store::LogCheck.run.sound).to be(true)
    end

    it "that are stopped leave nothing behind" do
      before = pieces.count
      progress = UpTack::Progress.new.tap(&:stop)
      expect {
        UpTack::UseCases::Proofs::GenerateRecords.new(workspace, progress: progress).call(
          table: "pieces",
          count: 5,
          seed: 1
        )
      }.to raise_error(UpTack::Progress::Stopped)
      expect(pieces.count).to eq(before)
      expect { make.call(table: "pieces", count: 0, seed: 1) }.to raise_error(Core::Invalid, /1 to 1,000,000/)
    end

    it "that one rule alone refuses are told and not saved" do
      %w[r50 r54 r107 r117 r47].each do |rule|
        found = UpTack::UseCases::Proofs::MakeFailing.new(workspace).call(table: "pieces", rule: rule, count: 3,
          seed: 2)
        expect([rule, found.length]).to eq([rule, 3])
      end
    end
  end
end
