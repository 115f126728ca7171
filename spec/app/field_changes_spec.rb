# frozen_string_literal: true

require "store_helper"

RSpec.describe "Fields that change" do
  def call_use_case(name, **parts) = UpTack::UseCases.const_get(name).new(workspace).call(**parts)

  it "to a list say what would be lost, and keep what is on it" do
    change(:SaveList, name: "Bodies", values: ["Brick red", "Snowfall"])
    list = workspace.project.lists.last
    losses =
      UpTack::UseCases::Design::PreviewLosses.new(workspace).call(
        table: "clays",
        field: "name",
        type: "choice",
        list: list.id
      )
    expect([losses.values, losses.kept, losses.examples.sort]).to eq(
      [3, 2, ["Harbour stoneware", "Raku body", "Speckled oat"]]
    )
    before = (1..5).map { |id| UpTack::Store::RecordTable.new(workspace.table("clays")).find(id)["name"] }
    change(:ChangeField, table: "clays", field: "name", parts: {"type" => "choice", "list" => list.id})
    now = -> { (1..5).map { |id| UpTack::Store::RecordTable.new(workspace.table("clays")).find(id)["name"] } }
    expect(now.call).to eq([nil, nil, "Brick red", "Snowfall", nil])
    design.undo
    expect(now.call).to eq(before)
  end

  it "to a date and time keep what can be read so, and come back by an undo" do
    change(:AddField, table: "orders", parts: {"label" => "Fetched", "type" => "text"})
    {1 => "23 Nov 2026, 9:30", 2 => "soon", 3 => "2026-07-01T10:00:00Z"}.each do |id, text|
      UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "orders", id: id, typed: {"fetched" => text})
    end
    change(:ChangeField, table: "orders", field: "fetched", parts: {"type" => "moment"})
    orders = UpTack::Store::RecordTable.new(workspace.table("orders"))
    expect((1..3).map { |id| orders.find(id)["fetched"]&.iso8601 }).to eq(
      ["2026-11-23T09:30:00Z", nil, "2026-07-01T10:00:00Z"]
    )
    expect(columns("orders")["fetched"]).to start_with("datetime")
    page = call_use_case("Records::ListRecords", table: "orders", sort: "fetched", limit: 1)
    rest = call_use_case("Records::ListRecords", table: "orders", sort: "fetched", limit: 2, cursor: page.following)
    expect((page.records + rest.records).map(&:id)).to eq([3, 1, 2])
    on_a_day = call_use_case("Records::ListRecords", table: "orders", filter: "date(fetched) = date(\"2026-11-23\")")
    expect(on_a_day.records.map(&:id)).to eq([1])
    design.undo
    expect(UpTack::Store::RecordTable.new(workspace.table("orders")).find(2)["fetched"]).to eq("soon")
  end

  it "from a linked record come right after its link, under a free name" do
    change(:AddLinkedField, table: "pieces", link: "maker", detail: "phone", copy: true)
    change(:AddLinkedField, table: "pieces", link: "maker", detail: "phone", copy: false)
    fields = workspace.table("pieces").fields.map(&:label)
    expect(fields[fields.index("Maker"), 3]).to eq(["Maker", "Maker: Phone 2", "Maker: Phone"])
    expect(save_piece({"maker" => 3}, id: 28).record.values).to include("maker_phone_2" => nil).or include(
           "maker_phone" => "01 555 0163"
         )
  end
end
