# frozen_string_literal: true

require "store_helper"

RSpec.describe "Numbers in the store" do
  let(:rule) { workspace.table("clays").rules.find { |each| each.kind == "number" } }

  # Clays get a number of their own, of two digits.
  def number_clays(**parts)
    change(:AddField, table: "clays", parts: {"label" => "Code", "type" => "text"})
    change(
      :PinRule,
      table: "clays",
      rule: {"kind" => "number", "field" => "code", "formula" => '"CL-" & counter(2)'}.merge(
        parts.transform_keys(&:to_s)
      )
    )
  end

  def save(typed, id: nil, **more) =
    UpTack::UseCases::Records::SaveRecord.new(workspace, **more).call(
      table: "clays",
      typed: {"name" => "Any", "limit" => "1000"}.merge(typed),
      id: id
    )

  def code(answer) = answer.record.values["code"]
  def counts = UpTack::UseCases::Numbers::Counts.new(workspace.table("clays"), rule)
  def give = UpTack::UseCases::Numbers::Give.new(workspace)

  it "leaves no gap for a draft or a refusal, and reuses nothing that was deleted" do
    number_clays
    expect(UpTack::UseCases::Records::AnswerDraft.new(workspace).call(table: "clays",
      typed: {}).outcome.values["code"]).to eq(
      "CL-01"
    )
    expect(save({"limit" => "9"}).state).to eq(:refused)
    first = save({})
    expect([code(first), code(save({}))]).to eq(%w[CL-01 CL-02])
    [0, 1].each do |more|
      UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: "clays", id: first.record.id + more)
    end
    expect(code(save({}))).to eq("CL-03")
  end

  it "keeps imported numbers and goes on after them, in a batch as well" do
    number_clays
    expect(code(save({"code" => "CL-41"}, channel: "import"))).to eq("CL-41")
    expect(save({"code" => "CL-41"}, channel: "import").outcome.refusals.map(&:message)).to eq(
      ["CL-41 was already used to “Any”. Numbers can't be reused."]
    )
    drafts =
      [{}, {"code" => "CL-60"}, {"limit" => "1"}, {}].map do |typed|
        {typed: {"name" => "Any", "limit" => "1000"}.merge(typed)}
      end
    given = []
    report =
      UpTack::UseCases::Bulk::Write
        .new(workspace, channel: "import")
        .call(table: "clays", drafts: drafts, summary: "Clays", keep: "passing") do |_, answer|
          given << answer.record&.values&.fetch("code")
        end
    expect(given).to eq(["CL-42", "CL-60", nil, "CL-61"])
    expect(report.refused.map { |each| [each.place, each.refusals.map { |refusal| refusal[:field] }] }).to eq(
      [[2, ["limit"]]]
    )
    expect(UpTack::Store::LogCheck.run).to have_attributes(sound: true)
  end

  it "takes note of the numbers that a field has when it begins to be numbered" do
    change(:AddField, table: "clays", parts: {"label" => "Code", "type" => "text"})
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "clays", id: 2, typed: {"code" => "CL-17"})
    change(:PinRule, table: "clays", rule: {"kind" => "number", "field" => "code", "formula" => '"CL-" & counter(2)'})
    expect([code(save({})), counts.all.map(&:to_h)]).to eq(["CL-18", [{series: "", next: 19, highest: 18, left: 81}]])
  end

  it "gives old records theirs in the order that the builder picks, after showing it" do
    number_clays(start: 5)
    shown = give.foresee(table: "clays", rule: rule.id, order: "limit", descending: true)
    limits =
      UpTack::Store::RecordTable
        .new(workspace.table("clays"))
        .page(limit: 50)
        .to_h
        .transform_values { |each| each["limit"] }
    expect(shown.first.map { |each| limits[each[:id]] }).to eq(limits.values.sort.reverse)
    expect(shown.first.map { |each| each[:number] }).to eq((5..9).map { |count| format("CL-%02d", count) })
    expect(save({}).record.values["code"]).to eq("CL-05")
    result = give.call(table: "clays", rule: rule.id, order: "limit", descending: true)
    expect([result.given, result.left]).to eq([5, 0])
    expect(entries(batch: result.batch.id).map(&:way).uniq).to eq(["numbers"])
    expect(give.foresee(table: "clays", rule: rule.id).waiting).to eq(0)
  end

  it "sets the next count, but not back to one that was given, and warns before the digits run out" do
    number_clays
    save({})
    expect { counts.set("", 1) }.to raise_error(
      Core::Invalid,
      "1 was already used. Enter 2 or more."
    )
    counts.set("", 98)
    expect([counts.warning, code(save({})), counts.warning]).to eq(
      [
        "2 numbers left with 2 digits; after that numbers get longer.",
        "CL-98",
        "1 number left with 2 digits; after that numbers get longer."
      ]
    )
    expect([code(save({})), code(save({})), counts.warning]).to eq(
      ["CL-99", "CL-100", "The counter is past its 2 digits, so new numbers are longer."]
    )
  end

  it "lets eight writers at one series lose nothing, repeat nothing and leave no gap" do
    number_clays
    Array
      .new(8) do
        Thread.new { 5.times { save({}) } && ActiveRecord::Base.connection_handler.clear_active_connections! }
      end
      .each(&:join)
    codes =
      UpTack::Store::Database.connection.select_values("SELECT code FROM clays WHERE code IS NOT NULL ORDER BY id")
    expect(codes).to eq((1..40).map { |count| format("CL-%02d", count) })
    expect(UpTack::Store::LogCheck.run).to have_attributes(sound: true)
  end

  it "composes keys along a link and keeps them when the link changes" do
    change(:AddField, table: "orders", parts: {"label" => "Key", "type" => "text"})
    change(
      :PinRule,
      table: "orders",
      rule: {"kind" => "number", "field" => "key", "formula" => 'upper(left(member.name, 3)) & "-" & counter(6)'}
    )
    answer =
      UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "orders",
        typed: {"member" => 1, "agreed" => "5"})
    expect(answer.record.values["key"]).to eq("ANS-000001")
    expect(
      UpTack::UseCases::Records::SaveRecord
        .new(workspace)
        .call(table: "orders", id: answer.record.id, typed: {"member" => 2})
        .record
        .values[
        "key"
      ]
    ).to eq("ANS-000001")
  end

  it "finds what was doubled while nobody numbered the field, when it is numbered again and in a check" do
    number_clays
    2.times { save({}) }
    unpin("clays", "number", "code")
    doubled = save({"code" => "CL-01"}).record.id
    attributes = {"kind" => "number", "field" => "code", "formula" => '"CL-" & counter(2)'}
    preview = UpTack::UseCases::Effects::PreviewRule.new(workspace).call(table: "clays", attributes: attributes)
    expect(preview.counts["refused"]).to eq(2)
    expect(preview.examples.first).to include(
      verdict: "refused",
      stored: "CL-01",
      how: a_string_including("another record has it too")
    )
    change(:PinRule, table: "clays", rule: attributes)
    finding = UpTack::UseCases::Maintenance::IntegrityCheck.new(workspace).call.find { |each| each.what == "counters" }
    expect([finding.sound, finding.message]).to match([false, a_string_including("CL-01 is used in 2 records")])
    save({"code" => "CL-77"}, id: doubled, channel: "import")
    expect(UpTack::UseCases::Maintenance::IntegrityCheck.new(workspace).call.reject(&:sound).map(&:message)).to eq([])
  end
end
