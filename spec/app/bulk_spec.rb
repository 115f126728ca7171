# frozen_string_literal: true

require "store_helper"

RSpec.describe "Changes of many records" do
  def bulk(kind, by: "Odile Marsh", **parts) =
    UpTack::UseCases::Bulk::Change.new(workspace(by, at: "2026-11-23T09:30")).call(
      table: parts.delete(:table) || "pieces",
      kind: kind,
      **parts
    )

  def undo(batch) = UpTack::UseCases::History::UndoBatch.new(workspace).call(batch.id)

  def everything(table = "pieces") =
    [].tap { |all| UpTack::Store::RecordTable.new(workspace.table(table)).each { |id, row| all << [id, row.to_h] } }

  it "tries a change without leaving a trace of it, then makes it as one entry that can be taken back" do
    before = everything
    entries = UpTack::Store::Entry.count
    tried = bulk("change", filter: "fragile", typed: {"maker_note" => "Wrap twice"}, keep: "none")
    expect([tried.batch, everything == before, UpTack::Store::Entry.count]).to eq([nil, true, entries])
    expect(tried.shown.first.changes.map { |change| change[:label] }).to include("Maker note")
    done = bulk("change", filter: "fragile", typed: {"maker_note" => "Wrap twice"}, keep: "all")
    expect(done.saved).to eq(tried.saved).and be > 1
    expect(UpTack::Store::Entry.where(batch_id: done.batch.id).count).to eq(done.saved)
    expect(undo(done.batch).left).to eq(0)
    untold = ->(rows) { rows.map { |id, values| [id, values.except("edits", "changed_on", "changed_by")] } }
    expect(untold.call(everything) - untold.call(before)).to eq([])
  end

  it "keeps all, those that pass, or none, and says by which rule the others are refused" do
    ids = (1..28).to_a
    before = everything
    all = bulk("change", ids: ids, typed: {"wet_weight" => "1"}, keep: "all")
    expect([all.batch, all.refused_count.positive?, everything == before]).to eq([nil, true, true])
    expect(all.by_rule.keys).to include(demo_rule("check", "wet_weight", /tare = wet/).id)
    some = bulk("change", ids: [*ids, 999], typed: {"peak" => "1000"}, keep: "passing")
    expect([some.looked_at, some.saved + some.unchanged + some.refused_count]).to eq([29, 29])
    expect(some.refused.last.refusals.first[:message]).to include("There is no record #999")
    expect { bulk("change", ids: [1], typed: {"nothing" => "1"}) }.to raise_error(Core::Invalid)
    expect { bulk("change", ids: [], typed: {"peak" => "1"}) }.to raise_error(Core::Invalid, /No records/)
  end

  it "deletes with what is linked, copies with numbers of their own, and brings all of it back" do
    before = [everything("members"), everything("orders"), everything("order_lines")]
    refused = bulk("delete", table: "members", ids: (1..12).to_a, keep: "none")
    expect([refused.refused_count, refused.refused.first.refusals.first[:message]]).to match([be > 0, /record/])
    gone = bulk("delete", table: "orders", keep: "passing")
    expect(gone.saved).to be > 0
    expect(everything("orders").length).to be < before[1].length
    expect(undo(gone.batch).left).to eq(0)
    expect(everything("orders").map(&:first)).to eq(before[1].map(&:first))
    expect(everything("order_lines").map { |id, row| [id, row["order"]] }).to eq(
      before[2].map { |id, row| [id, row["order"]] }
    )

    copied = bulk("copy", ids: [8, 9, 10], keep: "passing")
    tags = everything.map { |_, values| values["tag"] }
    expect([copied.saved + copied.refused_count, tags.compact.uniq.length]).to eq([3, tags.compact.length])
    undo(copied.batch)
    expect(everything.length).to eq(28)
  end

  it "gives numbers and tidies for those that are chosen only" do
    tidied = bulk("tidy", table: "members", ids: (1..12).to_a, keep: "passing")
    expect(tidied.saved).to eq(3)
    unnumbered = everything.select { |_, values| values["tag"].nil? }.map(&:first)
    given = bulk("number", ids: unnumbered, keep: "passing") if unnumbered.any?
    expect(given&.refused_count.to_i).to eq(0)
    expect { bulk("number", table: "titles", ids: [1]) }.to raise_error(Core::Invalid, /no auto-number/)
    expect { bulk("delete", by: "Hale Orrin", ids: [1]) }.to raise_error(UpTack::Services::NotAllowed)
  end

  it "works out sums elsewhere once for all of them, and they are as if each had been saved alone" do
    lines = UpTack::Store::RecordTable.new(workspace.table("order_lines"))
    write = UpTack::UseCases::Bulk::Write.new(workspace)
    order = everything("orders").find { |_, values| values["status"] == "Open" }.first
    before = UpTack::Store::Entry.count
    drafts =
      Array.new(20) do |index|
        {
          typed: {"order" => order, "what" => "Bag #{index}", "quantity" => "2", "price" => "1.50"}.slice(
            *workspace.table("order_lines").fields.map(&:key)
          )
        }
      end
    report = write.call(table: "order_lines", drafts: drafts, summary: "Bags", keep: "passing")
    expect(report.saved).to eq(20), report.refused.first&.refusals.inspect
    told = UpTack::Store::Entry.where("id > ?", before).where.not(followed: nil)
    expect(told.count).to be <= 1
    expect(UpTack::UseCases::Maintenance::IntegrityCheck.new(workspace).call.reject(&:sound)).to eq([])
    expect(undo(report.batch).left).to eq(0)
    expect([lines.count, UpTack::UseCases::Maintenance::IntegrityCheck.new(workspace).call.all?(&:sound)]).to eq(
      [3, true]
    )
  end

  it "lets rules elsewhere act each time that a value which they wait for becomes another one, the log holding" do
    change(:AddField, table: "orders", parts: {"label" => "Turns", "type" => "number"})
    change(:PinRule, table: "orders", rule: {"kind" => "tally", "field" => "turns", "watch" => %w[amount]})
    order = everything("orders").find { |_, values| values["status"] == "Open" }.first
    before = UpTack::Store::Entry.count
    drafts =
      Array.new(3) do |index|
        {typed: {"order" => order, "what" => "Bag #{index}", "quantity" => "2", "price" => "1.50"}}
      end
    expect(
      UpTack::UseCases::Bulk::Write.new(workspace).call(table: "order_lines", drafts: drafts, summary: "Bags").saved
    ).to eq(3)
    expect(
      [
        UpTack::Store::RecordTable.new(workspace.table("orders")).find(order)["turns"],
        UpTack::Store::Entry.count - before
      ]
    ).to eq([3, 6])
    expect(UpTack::Store::LogCheck.run).to have_attributes(sound: true)
  end
end
