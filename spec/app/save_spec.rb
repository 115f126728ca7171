# frozen_string_literal: true

require "store_helper"

RSpec.describe "Saving records" do
  def log(id) = entries(table: workspace.table("pieces"), record: id)

  it "writes the record, its defaults and one entry of the log together" do
    answer = save_piece(good_piece, by: "Bram Tolley", at: "2026-11-23T09:15")
    expect(answer.state).to eq(:saved)
    expect(pieces.find(answer.record.id)).to include(
      "piece" => "Mug",
      "wet_weight" => number("695"),
      "received" => Date.new(2026, 11, 23),
      "collect_by" => Date.new(2026, 12, 7),
      "received_by" => "Bram Tolley",
      "fragile" => false,
      "absorption" => nil
    )
    entry = log(answer.record.id).first
    expect(entry).to have_attributes(
      id: answer.record.version,
      person_name: "Bram Tolley",
      action: "create",
      channel: "form",
      record_title: "PC-00029",
      made_at: Time.utc(2026, 11, 23, 9, 15)
    )
    changes = entry.field_changes.to_h { |each| [each.field_label, [each.values, each.rule_id.nil?]] }
    expect(changes).to include(
      "Piece" => [[nil, "Mug"], true],
      "Clay weight g" => [[nil, number("640")], true],
      "Collect by" => [[nil, Date.new(2026, 12, 7)], false],
      "Fragile" => [[nil, false], false]
    )
    expect(changes).not_to include("Absorption %")
  end

  it "writes nothing at all when a rule refuses" do
    before = [pieces.count, UpTack::Store::Entry.count]
    answer = save_piece(good_piece.merge("wet_weight" => "700", "maker" => ""))
    expect(answer.state).to eq(:refused)
    expect(answer.outcome.refusals.map(&:message)).to eq(
      ["Select a maker.", "Clay and tare must add up to the wet weight."]
    )
    expect([pieces.count, UpTack::Store::Entry.count]).to eq(before)
  end

  it "logs old and new value of what an edit changed, and nothing when nothing did" do
    before = pieces.find(25)
    answer = save_piece({"stage" => "Bisque fired", "maker" => "Fenna Aldersyke"}, id: 25)
    changes = log(25).first.field_changes.map { |each| [each.field_label, *each.values] }
    expect(changes).to eq(
      [
        ["Maker", before["maker"], 8],
        ["Maker's phone", before["maker_phone"], "01 555 0139"],
        ["Stage", before["stage"], "Bisque fired"],
        ["Edits", 0, 1],
        ["Last changed on", before["changed_on"], pieces.find(25)["changed_on"]]
      ]
    )
    count = UpTack::Store::Entry.count
    expect(save_piece({"stage" => "bisque fired"}, id: 25).state).to eq(:saved)
    expect(UpTack::Store::Entry.count).to eq(count)
    expect(answer.record.version).to eq(log(25).first.id)
  end

  it "tells the second of two people what the first changed, and overwrites nothing" do
    seen = UpTack::UseCases::Records::FindRecord.new(workspace).call(table: "pieces", id: 20)
    save_piece({"maker_note" => "Chipped."}, id: 20, by: "Senna Whitlock")
    answer = save_piece({"maker_note" => "Fine."}, id: 20, version: seen.version)
    expect(answer.state).to eq(:conflict)
    expect(answer.theirs.map(&:person_name)).to eq(["Senna Whitlock"])
    expect(pieces.find(20)["maker_note"]).to eq("Chipped.")
    expect(save_piece({"maker_note" => "Fine."}, id: 20, version: answer.theirs.last.id).state).to eq(:saved)
  end

  it "deletes with a log entry that keeps what was there, unless somebody changed it meanwhile" do
    seen = UpTack::UseCases::Records::FindRecord.new(workspace).call(table: "pieces", id: 21)
    delete = ->(version) do
      UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: "pieces", id: 21, version: version)
    end
    save_piece({"absorption" => "8"}, id: 21)
    expect(delete.call(seen.version).state).to eq(:conflict)
    expect(delete.call(nil).state).to eq(:saved)
    expect(pieces.find(21)).to be_nil
    expect(log(21).first.field_changes.map { |each| [each.field_label, *each.values] }).to include(
      ["Absorption %", number("8"), nil],
      ["Tag", "PC-00021", nil]
    )
    expect { save_piece({"absorption" => "9"}, id: 21) }.to raise_error(
      UpTack::Store::NotFound,
      /may have been deleted/
    )
  end

  it "gives no record number twice, not even after a column was dropped" do
    last = save_piece(good_piece).record.id
    UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: "pieces", id: last)
    change(:RemoveField, table: "pieces", field: "absorption")
    change(:ChangeField, table: "pieces", field: "tag", parts: {"label" => "Label"})
    expect(save_piece(good_piece).record.id).to eq(last + 1)
  end

  it "names a field that the table does not have" do
    expect { save_piece({"glaze" => "x"}) }.to raise_error(
      Core::Invalid,
      "There is no field `glaze` in Pieces."
    )
  end

  it "keeps every odd text exactly" do
    ["<b>bold</b>", "'; DROP TABLE pieces;--", "👨‍👩‍👧", "\u202Eabc", "\"\"", "%_\\", "١٢٣"].each do |text|
      id = save_piece(good_piece.merge("maker_note" => text, "piece" => text)).record.id
      expect(pieces.find(id)).to include("maker_note" => text, "piece" => text)
    end
  end

  it "answers a live draft as a save would, and writes nothing" do
    count = UpTack::Store::Entry.count
    answer =
      UpTack::UseCases::Records::AnswerDraft.new(workspace(at: "2028-02-28T12:00")).call(
        table: "pieces",
        typed: good_piece,
        trace: true
      )
    expect(answer.outcome.values).to include(
      "received" => Date.new(2028, 2, 28),
      "collect_by" => Date.new(2028, 3, 13)
    )
    expect(answer.outcome.steps).not_to be_empty
    copy =
      UpTack::UseCases::Records::AnswerDraft.new(workspace).call(table: "pieces", typed: {"piece" => "Jug"},
        copy_of: 14)
    expect(copy.outcome.values).to include(
      "piece" => "Jug",
      "hold" => number("90"),
      "stage" => pieces.find(14)["stage"]
    )
    expect(UpTack::Store::Entry.count).to eq(count)
  end

  it "lets parallel writers through one after another, without losing any" do
    ids =
      Array
        .new(6) do |number|
          Thread.new do
            ActiveRecord::Base.connection_pool.with_connection do
              save_piece(good_piece.merge("maker_note" => "by #{number}")).record.id
            end
          end
        end
        .map(&:value)
    expect(ids.uniq.length).to eq(6)
    expect(ids.map { |id| pieces.find(id)["maker_note"] }.sort).to eq(Array.new(6) { |number| "by #{number}" })
  end
end
