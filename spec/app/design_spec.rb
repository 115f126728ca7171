# frozen_string_literal: true

require "store_helper"

RSpec.describe "Changing the design" do
  def values(key) = (1..28).map { |id| pieces.find(id)[key] }

  it "makes real tables with typed columns, whatever the names" do
    change(:AddTable, label: "Order", key: "order")
    {
      "Select" => "text",
      "Weight, net" => "number",
      "Paid on" => "date",
      "Group" => "yes_no",
      "Größe" => "choice",
      "Note" => "long_text"
    }.each do |label, type|
      change(
        :AddField,
        table: "order",
        parts: {"label" => label, "type" => type, "choices" => (%w[S M] if type == "choice")}
      )
    end
    expect(columns("order")).to eq(
      "id" => "integer",
      "name" => "text",
      "select" => "text",
      "weight_net" => "decimal",
      "paid_on" => "date",
      "group" => "boolean",
      "grosse" => "text",
      "note" => "text"
    )
    answer =
      UpTack::UseCases::Records::SaveRecord.new(workspace).call(
        table: "order",
        typed: {"select" => "from", "weight_net" => "0.1", "group" => "y", "grosse" => "m"}
      )
    expect(UpTack::Store::RecordTable.new(workspace.table("order")).find(answer.record.id)).to include(
      "select" => "from",
      "weight_net" => number("0.1"),
      "group" => true,
      "grosse" => "M"
    )
  end

  it "keeps the records through renaming, also when two fields change names" do
    before = values("peak")
    change(:ChangeField, table: "pieces", field: "peak", parts: {"label" => "Top temperature"})
    expect(columns("pieces")).to include("top_temperature").and(satisfy { |found| !found.key?("peak") })
    expect(values("top_temperature")).to eq(before)
    change(:ChangeTable, table: "pieces", parts: {"label" => "Pots"})
    expect(UpTack::Store::RecordTable.new(workspace.table("pots")).count).to eq(28)
    design.undo
    design.undo
    expect(values("peak")).to eq(before)
  end

  it "brings a deleted field back with its values and rules" do
    before = values("tare")
    rules = workspace.table("pieces").rules.map(&:attributes)
    change(:RemoveField, table: "pieces", field: "tare")
    expect(columns("pieces")).not_to include("tare")
    expect(workspace.table("pieces").rules.length).to eq(rules.length - 2)
    new_piece = save_piece({"piece" => "Mug", "maker" => "Teodor Quill"}).record.id
    expect(design.undo.summary).to eq("Field Tare g of Pieces deleted")
    expect(values("tare")).to eq(before)
    expect(pieces.find(new_piece)["tare"]).to be_nil
    expect(workspace.table("pieces").rules.map(&:attributes)).to eq(rules)
  end

  it "brings a deleted table back with its records" do
    before = pieces.find(7)
    change(:RemoveTable, table: "pieces")
    expect { workspace.table("pieces") }.to raise_error(UpTack::Store::NotFound)
    change(:AddTable, label: "Pieces")
    design.undo
    design.undo
    expect(pieces.find(7)).to eq(before)
    expect(UpTack::Store::ChangeLog.version_of(workspace.table("pieces"), 7)).to be_a(Integer)
  end

  it "says what a new type would lose, converts the rest, and gives all back on undo" do
    change(:AddField, table: "pieces", parts: {"label" => "Size", "type" => "text"})
    {1 => "12", 2 => "4.5", 3 => "tall"}.each { |id, size| save_piece({"size" => size}, id: id) }
    losses = UpTack::UseCases::Design::PreviewLosses.new(workspace).call(table: "pieces", field: "size", type: "number")
    expect(losses.to_h).to eq(values: 1, examples: ["tall"], kept: 2, rules: [], choices: [])
    change(:ChangeField, table: "pieces", field: "size", parts: {"type" => "number"})
    expect(columns("pieces")["size"]).to eq("decimal")
    expect(values("size").first(3)).to eq([number("12"), number("4.5"), nil])
    save_piece({"size" => "13"}, id: 1)
    design.undo
    expect(columns("pieces")["size"]).to eq("text")
    expect(values("size").first(3)).to eq(["13", "4.5", "tall"])
  end

  it "foresees what deleting a field takes along" do
    losses = UpTack::UseCases::Design::PreviewLosses.new(workspace).call(table: "pieces", field: "tare")
    expect(losses).to have_attributes(
      values: 28,
      rules: [
        "Tare g defaults to 55.",
        "Clay weight g + Tare g must equal Wet weight g.",
        "It is removed from the form Reception of Pieces."
      ]
    )
  end

  it "undoes and redoes step by step, and forgets what to redo after a new change" do
    labels = -> { workspace.table("pieces").fields.map(&:label).last(2) }
    %w[One Two].each { |label| change(:AddField, table: "pieces", parts: {"label" => label, "type" => "text"}) }
    expect(design.undo.summary).to eq("Field Two added to Pieces")
    expect(design.undo.summary).to eq("Field One added to Pieces")
    expect(design.undo).to be_nil
    expect(design.redo.summary).to eq("Field One added to Pieces")
    expect(design.redo.summary).to eq("Field Two added to Pieces")
    expect(design.redo).to be_nil
    expect(labels.call).to eq(%w[One Two])
    design.undo
    change(:AddField, table: "pieces", parts: {"label" => "Three", "type" => "text"})
    expect(design.redo).to be_nil
    design.undo
    design.undo
    expect(labels.call).to eq(["Last changed on", "Last changed by"])
  end

  it "puts any earlier state back, with the values that it had" do
    start = workspace.revision_id
    before = values("absorption")
    change(:RemoveField, table: "pieces", field: "absorption")
    change(:AddField, table: "pieces", parts: {"label" => "Other", "type" => "text"})
    design.put_back(start)
    expect(values("absorption")).to eq(before)
    expect(workspace.table("pieces").field("other")).to be_nil
    expect(design.undo.action).to eq("put back")
    expect(workspace.table("pieces").field("other")).not_to be_nil
    expect { design.put_back(999) }.to raise_error(UpTack::Store::NotFound)
  end

  it "goes back over deleted tables, columns and changed types, each value finding its place" do
    unmask("shelf_code")
    unpin("pieces", "fill", "kiln")
    start = workspace.revision_id
    before = (1..28).map { |id| pieces.find(id) }
    change(:ChangeField, table: "pieces", field: "shelf_code", parts: {"type" => "number"})
    change(:RemoveField, table: "pieces", field: "shelf_code")
    change(:RemoveField, table: "pieces", field: "absorption")
    change(:RemoveField, table: "pieces", field: "tag")
    change(:ChangeField, table: "pieces", field: "maker", parts: {"label" => "Potter"})
    change(:RemoveTable, table: "pieces")
    design.put_back(start)
    expect((1..28).map { |id| pieces.find(id) }).to eq(before)
    expect(save_piece(good_piece.merge("tag" => "PC-00099")).state).to eq(:saved)
    design.undo
    expect { workspace.table("pieces") }.to raise_error(UpTack::Store::NotFound)
    design.put_back(start)
    expect(pieces.find(9)).to eq(before[8])
  end

  it "loses no value by going back and forth over a changed type" do
    unmask("shelf_code")
    unpin("pieces", "fill", "kiln")
    start = workspace.revision_id
    before = values("shelf_code")
    change(:ChangeField, table: "pieces", field: "shelf_code", parts: {"type" => "number"})
    changed = workspace.revision_id
    design.put_back(start)
    design.undo
    expect(columns("pieces")["shelf_code"]).to eq("decimal")
    design.redo
    expect(values("shelf_code")).to eq(before)
    change(:AddField, table: "pieces", parts: {"label" => "Glaze", "type" => "text"})
    save_piece({"glaze" => "Celadon"}, id: 1)
    other = workspace.revision_id
    design.put_back(changed)
    expect(workspace.table("pieces").field("glaze")).to be_nil
    design.put_back(other)
    expect([values("shelf_code"), pieces.find(1)["glaze"]]).to eq([before, "Celadon"])
  end

  it "foresees a change to a choice by the choices that it will have" do
    losses = ->(choices) do
      UpTack::UseCases::Design::PreviewLosses.new(workspace).call(
        table: "members",
        field: "name",
        type: "choice",
        choices: choices
      )
    end
    expect(losses.call([])).to have_attributes(values: 12, kept: 0)
    expect(losses.call(["Ansa Velt", "teodor quill"])).to have_attributes(values: 9, kept: 3)
  end

  it "gives an id to nothing twice, undo or not" do
    change(:AddField, table: "pieces", parts: {"label" => "One", "type" => "text"})
    first = workspace.table("pieces").field("one").id
    design.undo
    change(:AddField, table: "pieces", parts: {"label" => "One", "type" => "text"})
    expect(workspace.table("pieces").field("one").id).not_to eq(first)
  end

  it "takes the changes of two builders who looked at the same state" do
    first, second = Array.new(2) { workspace.tap(&:project) }
    {"One" => first, "Two" => second}.each do |label, seen|
      UpTack::UseCases::Design::ChangeDesign.new(seen).call(
        Core::Design::Changes::AddField.new(table: "pieces", parts: {"label" => label, "type" => "text"})
      )
    end
    expect(workspace.table("pieces").fields.map(&:label).last(2)).to eq(%w[One Two])
    expect(columns("pieces")).to include("one", "two")
  end

  it "saves by the design as it is, though the request began with an older one" do
    old = workspace.tap(&:project)
    change(:ChangeField, table: "pieces", field: "tag", parts: {"label" => "Label"})
    answer = UpTack::UseCases::Records::SaveRecord.new(old).call(table: "pieces",
      typed: good_piece.merge("label" => "PC-00099"))
    expect(pieces.find(answer.record.id)["label"]).to eq("PC-00099")
  end

  it "adds no revision for a change that changes nothing" do
    before = workspace.revision_id
    change(:MoveField, table: "pieces", field: "tag", position: 0)
    expect(workspace.revision_id).to eq(before)
  end

  it "keeps neither revision nor column of a change that fails half way" do
    before = [UpTack::Store::Revision.count, columns("pieces")]
    allow(UpTack::Store::Revision).to receive(:create!).and_raise(ActiveRecord::StatementInvalid, "disk full")
    expect { change(:AddField, table: "pieces", parts: {"label" => "Late", "type" => "text"}) }.to raise_error(
      ActiveRecord::StatementInvalid
    )
    expect([UpTack::Store::Revision.count, columns("pieces")]).to eq(before)
  end
end
