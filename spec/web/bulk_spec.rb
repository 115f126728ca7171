# frozen_string_literal: true

require "web_helper"

RSpec.describe "Many records over HTTP" do
  include WebHelp

  before { sign_in_as("Bram Tolley") }

  it "calls saved what is there afterwards with that number and version, and nothing else" do
    random = Random.new(22)
    kinds = [
      -> { {typed: good_piece.merge("maker_note" => "new #{random.rand(1000)}")} },
      -> { {id: random.rand(1..20), typed: {maker_note: "changed #{random.rand(1000)}"}} },
      -> { {typed: good_piece.merge("wet_weight" => "1")} },
      -> { {id: 999, typed: {}} },
      -> { {id: 3, version: 1, typed: {maker_note: "late"}} }
    ]
    20.times do
      # Every other one has none among them that is refused.
      drafts = Array.new(random.rand(1..4)) { kinds.first([2, 5].sample(random: random)).sample(random: random).call }
      keep = ["all", "passing", "none", nil].sample(random: random)
      before = [pieces.count, UpTack::Store::ChangeLog.latest]
      told = ask(:post, "/api/tables/pieces/batch", {records: drafts, keep: keep}.compact)
      saved, others = told["results"].partition { |each| each["state"] == "saved" }
      kept = !told["report"]["batch"].nil?
      expect(status).to eq((kept || keep == "none") ? 200 : 422)
      expect(told["report"]["saved"]).to eq(saved.length)
      expect([pieces.count, UpTack::Store::ChangeLog.latest]).to eq(before) if saved.empty?
      saved.each do |each|
        expect(ask(:get, "/api/tables/pieces/records/#{each["id"]}")["version"]).to be >= each["version"]
      end
      expect(others.filter_map { |each| each["version"] }).to be_empty
      known = drafts.map { |draft| draft[:id] }
      expect(told["results"].zip(known).reject { |each, id| each["state"] == "saved" || each["id"] == id }).to be_empty
      next if kept

      expect(told["report"]["changes"].filter_map { |each| each["id"] } - known).to be_empty
    end
  end

  it "writes a batch with a result for each record, and takes it back" do
    records = [
      {typed: good_piece},
      {typed: good_piece.merge("wet_weight" => "1")},
      {id: 5, typed: {maker_note: "Thin"}},
      {id: 5, typed: {maker_note: "Thin"}},
      {id: 999, typed: {}},
      {id: 6, version: 1, typed: {maker_note: "x"}}
    ]
    expect(ask(:post, "/api/tables/pieces/batch", {records: records})["report"]).to include(
      "saved" => 0,
      "passing" => 2,
      "refused" => 3,
      "batch" => nil
    )
    done = ask(:post, "/api/tables/pieces/batch", {records: records, keep: "passing"})
    expect(done["results"].map { |each| each["state"] }).to eq(%w[saved refused saved unchanged gone conflict])
    expect(done["results"][1]["messages"].map { |message| message["field"] }).to eq(["wet_weight"])
    undone = ask(:post, "/api/history/batches/#{done["report"]["batch"]}/undo", {})
    expect(undone).to include("undone" => 2, "left" => 0)
    expect(pieces.find(5)["maker_note"]).not_to eq("Thin")

    # Taking back what took it back makes it again.
    expect(ask(:post, "/api/history/batches/#{undone["batch"]}/undo", {})).to include("undone" => 2, "left" => 0)
    expect(pieces.find(5)["maker_note"]).to eq("Thin")
  end

  it "writes a batch in portions, with the same results, and nothing where one is refused" do
    writes = 0
    allow(UpTack::Store::Database).to receive(:write).and_wrap_original do |write, *rest, **options, &work|
      writes += 1
      write.call(*rest, **options, &work)
    end
    records = Array.new(120) { |place| {typed: good_piece.merge("wet_weight" => (place == 7) ? "1" : nil).compact} }
    records << {id: 5, typed: {maker_note: "Thin"}} << {id: 999, typed: {}}
    before = pieces.count
    all = ask(:post, "/api/tables/pieces/batch", {records: records})
    expect([status, all["results"].map { |each| each.values_at("state", "id", "version") }.tally]).to eq(
      [422, {["not_saved", nil, nil] => 119, ["refused", nil, nil] => 1, ["not_saved", 5, nil] => 1,
             ["gone", 999, nil] => 1}]
    )
    passing = ask(:post, "/api/tables/pieces/batch", {records: records, keep: "passing"})
    expect(passing["results"].map { |each| each["state"] }.tally).to eq("saved" => 120, "refused" => 1, "gone" => 1)
    expect(passing["results"][7]["messages"].first).to include("field" => "wet_weight")
    expect(pieces.count).to eq(before + 119)
    newest = passing["results"][119]
    expect(ask(:get, "/api/tables/pieces/records/#{newest["id"]}")).to include("version" => newest["version"])
    # It was done elsewhere: here nobody waited for the lock.
    expect(writes).to be < 5
  end

  it "tells of a record that is deleted before its conflict is told that it is gone" do
    conflict = {id: 6, version: 1, typed: {maker_note: "x"}}
    batch = -> { ask(:post, "/api/tables/pieces/batch", {records: [conflict, {typed: good_piece}], keep: "passing"}) }
    expect(batch.call["results"].map { |each| each["state"] }).to eq(%w[conflict saved])
    allow_any_instance_of(UpTack::UseCases::Records::FindRecord).to receive(:call).and_raise(UpTack::Store::NotFound)
    expect(batch.call["results"].map { |each| each["state"] }).to eq(%w[gone saved])
  end

  it "finds a text and a record anywhere in a view" do
    found = ask(:get, "/api/tables/pieces/places?text=mug&sort=-id")
    expect(found).to include("number" => 1, "fields" => include("piece"))
    expect(ask(:get, "/api/tables/pieces/places?id=#{found["id"]}&sort=-id")).to include("place" => found["place"])
    expect(ask(:get, "/api/tables/pieces/places?text=#{"x" * 300}&back=true&from=9")).to include(
      "place" => nil,
      "matching" => 0
    )
    expect(ask(:get, "/api/tables/pieces/totals?search=mug")).to include("matching" => found["matching"])
    expect(
      ask(:post, "/api/tables/pieces/bulk", {do: "change", search: "mug", typed: {maker_note: "x"}, keep: "none"})
    ).to include("looked_at" => found["matching"])
  end

  it "tries and makes a change of many, and refuses what makes no sense with words" do
    tried =
      ask(
        :post,
        "/api/tables/pieces/bulk",
        {do: "change", filter: "wet_weight > 0", typed: {wet_weight: "1"}, keep: "none"}
      )
    expect(tried).to include("looked_at" => 28, "batch" => nil)
    expect(tried["by_rule"].first).to include("rule" => demo_rule("check", "wet_weight", /tare = wet/).id,
      "name" => be_a(String))
    done = ask(:post, "/api/tables/pieces/bulk", {do: "change", ids: [1, 2], typed: {maker_note: "Seen"}, keep: "all"})
    expect(done).to include("saved" => 2, "refused" => 0)
    [
      {do: "explode", keep: "all"},
      {do: "change", ids: [1], keep: "all", typed: {nothing: 1}},
      {do: "change", ids: [1], keep: "perhaps", typed: {peak: 1}},
      {do: "delete", filter: "peak >", keep: "none"}
    ].each { |body| expect([ask(:post, "/api/tables/pieces/bulk", body), status].last).to eq(422), body.to_s }
    [
      {records: []},
      {records: [{typed: {}, resons: {}}]},
      {records: [5]},
      {records: [{typed: 5}]},
      {records: [{typed: {}, id: "x"}]}
    ].each { |body| expect([ask(:post, "/api/tables/pieces/batch", body), status].last).to eq(400), body.to_s }
    sign_in_as("Hale Orrin")
    expect([ask(:post, "/api/tables/pieces/bulk", {do: "delete", ids: [1], keep: "all"}), status].last).to eq(403)
  end
end
