# frozen_string_literal: true

require "store_helper"

RSpec.describe "A lock of the whole record" do
  before do
    change(:AddTable, label: "Slips", one: "Slip")
    [%w[Stage choice], %w[Weight number]].each do |label, type|
      change(
        :AddField,
        table: "slips",
        parts: {"label" => label, "type" => type, **((type == "choice") ? {"choices" => %w[Open Filed]} : {})}
      )
    end
    change(
      :AddField,
      table: "slips",
      parts: {"label" => "Over", "type" => "link", "target" => "slips", "on_delete" => "delete"}
    )
    change(
      :PinRule,
      table: "slips",
      rule: {
        "kind" => "lock",
        "field" => "stage",
        "whole" => true,
        "when" => 'stage = "Filed"',
        "message" => "A filed slip stays.",
        "except_role" => "builder"
      }
    )
    drafts =
      [["A", "Open", nil], ["B", "Filed", nil], ["C", "Filed", 1], ["D", "Open", nil]].map do |name, stage, over|
        {typed: {"name" => name, "stage" => stage, "over" => over}}
      end
    UpTack::UseCases::Bulk::Write.new(workspace, channel: "import").call(table: "slips", drafts: drafts,
      summary: "Slips")
  end

  let(:clerk) do
    if workspace.table("slips").allows?("clerk", :delete) == false
      change(:ChangeTable, table: "slips", parts: {"access" => {"clerk" => "all"}})
    end
    UpTack::Workspace.new(person: UpTack::Store::Person.find_by(role: "clerk"))
  end

  def slips = UpTack::Store::RecordTable.new(workspace.table("slips"))

  it "holds for every field, those added later too, and against deleting it, alone, in bulk and along with another" do
    change(:AddField, table: "slips", parts: {"label" => "Later", "type" => "text"})
    save = ->(id, typed) { UpTack::UseCases::Records::SaveRecord.new(clerk).call(table: "slips", id: id, typed: typed) }
    [{"later" => "x"}, {"weight" => "3"}, {"name" => "Z"}].each do |typed|
      expect(save.call(2, typed).state).to eq(:refused)
      expect(save.call(1, typed).state).to eq(:saved)
    end
    delete = ->(id) { UpTack::UseCases::Records::DeleteRecord.new(clerk).call(table: "slips", id: id) }
    expect([delete.call(2).state, delete.call(2).reasons]).to eq([:linked, ["B is locked: A filed slip stays."]])
    expect([delete.call(1).state, delete.call(1).reasons]).to eq([:linked, ["C is locked: A filed slip stays."]])
    report =
      UpTack::UseCases::Bulk::Change.new(clerk).call(
        table: "slips",
        kind: "delete",
        ids: [1, 2, 3, 4],
        keep: "passing"
      )
    expect([report.saved, report.refused.length, slips.count]).to eq([1, 3, 3])
    # The role that it excepts may.
    expect(UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: "slips", id: 2).state).to eq(:saved)
  end
end
