# frozen_string_literal: true

require "store_helper"

RSpec.describe "The review of suggestions" do
  def members = UpTack::Store::RecordTable.new(workspace.table("members"))
  def tidying = UpTack::UseCases::Tidying

  def waiting =
    tidying::Suggestions
      .new(workspace, workspace.table("members"))
      .page
      .first
      .map { |each| [each.id, each.before, each.after] }

  def accept(picked = nil, by: "Odile Marsh") =
    tidying::Accept.new(workspace(by)).call(table: "members", picked: picked)

  def save(id, typed)
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "members", id: id, typed: typed)
  end

  demo = [
    [10, "Petra  Hollin", "Petra Hollin"],
    [11, "dunstan eyre", "Dunstan Eyre"],
    [12, "SUNNIVA BROOK", "Sunniva Brook"]
  ]

  it "shows before and after of what a clean-up would change, and changes nothing" do
    expect(waiting).to eq(demo)
    expect(members.find(11)["name"]).to eq("dunstan eyre")
  end

  it "takes one, or all, as one entry that can be taken back" do
    one = accept([{"id" => 11, "field" => "name", "before" => "dunstan eyre"}])
    expect([one.saved, one.left, waiting.map(&:first), members.find(11)["name"]]).to eq(
      [1, 0, [10, 12], "Dunstan Eyre"]
    )
    all = accept(by: "Senna Whitlock")
    expect([all.saved, waiting]).to eq([2, []])
    entries = entries(table: workspace.table("members"))
    expect(entries.map { |entry| [entry.batch&.id, entry.way] }.first(2)).to eq(
      [[all.batch.id, "tidy"], [one.batch.id, "tidy"]]
    )
    expect(entries(batch: all.batch.id).map(&:record_id)).to eq([12, 10])
    undone = UpTack::UseCases::History::UndoBatch.new(workspace).call(all.batch.id)
    expect([undone.undone, undone.left, waiting.map(&:first), all.batch.undone?]).to eq([2, 0, [10, 12], true])
    expect { UpTack::UseCases::History::UndoBatch.new(workspace).call(all.batch.id) }.to raise_error(
      Core::Invalid,
      /already/
    )
  end

  it "leaves what somebody changed since, on the way there and back" do
    save(11, "name" => "Dunstan M. Eyre")
    late = accept([{"id" => 11, "field" => "name", "before" => "dunstan eyre"}])
    expect([late.saved, late.left, members.find(11)["name"]]).to eq([0, 1, "Dunstan M. Eyre"])
    all = accept
    save(12, "name" => "Sunniva Brooke")
    undone = UpTack::UseCases::History::UndoBatch.new(workspace).call(all.batch.id)
    expect([undone.undone, undone.left, members.find(12)["name"], members.find(10)["name"]]).to eq(
      [1, 1, "Sunniva Brooke", "Petra  Hollin"]
    )
  end

  it "tells which records their own rules refuse, and tidies the others" do
    change(
      :PinRule,
      table: "members",
      rule: {
        "kind" => "check",
        "field" => "name",
        "formula" => "not exact(name, \"Sunniva Brook\")",
        "message" => "Not she."
      }
    )
    found = accept
    expect([found.saved, found.left, found.refused]).to eq(
      [2, 1, [{id: 12, title: "SUNNIVA BROOK", message: "Not she."}]]
    )
  end

  it "puts a value back even where a clean-up acts on save" do
    change(
      :PinRule,
      table: "members",
      rule:
        workspace
          .table("members")
          .rules
          .find { |rule| rule.kind == "tidy" && rule.field == "name" }
          .attributes
          .merge("mode" => "save")
    )
    found = accept
    UpTack::UseCases::History::UndoBatch.new(workspace).call(found.batch.id)
    expect(members.find(12)["name"]).to eq("SUNNIVA BROOK")
    save(12, "name" => "FENNA BROOK")
    expect(members.find(12)["name"]).to eq("Fenna Brook")
  end

  it "puts suggestions aside until the text is another one" do
    expect(
      tidying::Ignore.new(workspace).call(
        table: "members",
        picked: [{"id" => 12, "field" => "name", "before" => "SUNNIVA BROOK"}]
      )
    ).to eq(1)
    expect(waiting).to eq(demo.first(2))
    save(12, "name" => "SUNNIVA B")
    expect(waiting.last).to eq([12, "SUNNIVA B", "Sunniva B"])
    tidying::Ignore.new(workspace).call(table: "members")
    expect([waiting, tidying::Ignore.new(workspace).forget(table: "members"), waiting.length]).to eq([[], 3, 3])
  end

  describe "notices" do
    def send_at(at) = UpTack::UseCases::Maintenance::SendNotices.new(workspace(at: at)).call.map(&:subject)

    it "come once a week, at the hour that was set, when something waits" do
      # 23 Nov 2026 is a Monday.
      expect(send_at("2026-11-22T12:00")).to eq(["Members: 3 clean-up suggestions"])
      expect(send_at("2026-11-23T08:59")).to eq([])
      expect(send_at("2026-11-23T09:00")).to eq(["Members: 3 clean-up suggestions"])
      expect(send_at("2026-11-23T09:01") + send_at("2026-11-29T23:00")).to eq([])
      accept
      expect(send_at("2026-11-30T09:00")).to eq([])
      expect(UpTack::Store::Notice.last).to have_attributes(person: person, path: "/t/members/tidy", read_at: nil)
    end

    it "come daily or hourly, over the change of the clocks too" do
      change(:ChangeTable, table: "members", parts: {"review" => {"every" => "hour", "person" => 2}})
      expect(%w[2026-10-25T00:10 2026-10-25T00:50 2026-10-25T02:00].map { |at| send_at(at).length }).to eq([1, 0, 1])
      change(:ChangeTable, table: "members", parts: {"review" => {"every" => "day", "hour" => 1, "person" => 2}})
      expect(
        %w[2027-03-28T00:30 2027-03-28T02:00 2027-03-28T23:00 2027-03-29T01:00].map { |at| send_at(at).length }
      ).to eq([1, 1, 0, 1])
      expect {
        change(:ChangeTable, table: "members", parts: {"review" => {"every" => "year", "person" => 1}})
      }.to raise_error(Core::Invalid)
    end
  end
end
