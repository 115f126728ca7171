# frozen_string_literal: true

require "store_helper"

RSpec.describe "Previewing a rule on the records that exist" do
  def preview(**attributes) =
    UpTack::UseCases::Effects::PreviewRule.new(workspace(at: "2026-11-23T10:00")).call(
      table: "pieces",
      attributes: attributes.transform_keys(&:to_s)
    )

  it "counts what a validation would refuse, and shows the worst first with their values" do
    found = preview(kind: "check", field: "hold", formula: "hold < 90 and wet_weight > 100")
    expect(found.counts).to eq("passed" => 27, "refused" => 1)
    expect(found.examples.first).to include(
      id: 14,
      title: "PC-00014",
      verdict: "refused",
      stored: "90",
      how: "90 < 90 and 365.5 > 100"
    )
    expect(found).to have_attributes(
      looked_at: 28,
      total: 28,
      problems: [],
      tack: "Hold minutes < 90 and Wet weight g > 100"
    )
  end

  it "tells records that can't be judged from those that pass" do
    found = preview(kind: "check", field: "absorption", formula: "absorption <= 11.2")
    expect(found.counts.keys).to contain_exactly("passed", "refused", "unjudged")
    expect(found.examples.map { |each| each[:verdict] }.uniq).to eq(%w[refused unjudged passed])
  end

  it "stops after a while on a large table, says how far it came, and looks at all of it when asked", :tampers do
    UpTack::Store::Database.write do
      UpTack::Store::RecordTable.model("pieces").insert_all!(Array.new(200) { {piece: "Tile", hold: 91} })
    end
    stub_const("UpTack::UseCases::Effects::PreviewRule::PATIENCE", 0)
    rule = {"kind" => "check", "field" => "hold", "formula" => "hold <= 90"}
    look = ->(all) {
      UpTack::UseCases::Effects::PreviewRule.new(workspace).call(table: "pieces", attributes: rule, all: all)
    }
    expect(look.call(false)).to have_attributes(looked_at: 50, total: 228)
    expect(look.call(true)).to have_attributes(looked_at: 228, counts: {"passed" => 28, "refused" => 200})
  end

  it "shows the worst first, some of each, and the record that was asked for" do
    found =
      UpTack::UseCases::Effects::PreviewRule.new(workspace).call(
        table: "pieces",
        attributes: {"kind" => "check", "field" => "hold", "formula" => "hold < 15"},
        look_at: 3
      )
    expect(found.counts).to eq("refused" => 16, "passed" => 12)
    expect(
      found.examples.map { |each| each[:verdict] }.chunk_while { |a, b| a == b }.map { |run| [run.first, run.length] }
    ).to eq([["refused", 4], ["passed", 8]])
    expect(found.looked).to include(id: 3, verdict: "refused")
  end

  it "shows what a default would have given beside what is kept, and what a new record opens with" do
    found = preview(kind: "default", field: "maker_note", formula: "\"Weigh again: \" & wet_weight & \" g\"")
    expect(found.opening).to eq("Weigh again:  g")
    expect(found.examples.first).to include(verdict: "differs", stored: "", result: "Weigh again: 780.5 g")
    fixed =
      preview(
        id: workspace.table("pieces").rules.find { |rule| rule.field == "firing" }.id,
        kind: "default",
        field: "firing",
        value: "raku"
      )
    expect(fixed.opening).to eq("Raku")
    expect(fixed.counts["same"]).to eq(4)
  end

  it "shows required" do
    found = preview(kind: "required", field: "shelf_code")
    expect(found.counts["refused"]).to be_positive
    expect(found.examples.first).to include(verdict: "refused", how: "it is blank")
  end

  it "tells what is wrong, and changes nothing" do
    before = workspace.revision_id
    expect(preview(kind: "check", field: "hold", formula: "holt > 5").problems.map(&:to_h)).to include(
      a_hash_including(part: "formula", from: 0, to: 4, message: "There is no field `holt`; did you mean `hold`?")
    )
    expect(preview(kind: "check", field: "stage", formula: "stage = \"Dryin\"").warnings.map(&:message)).to eq(
      ["Stage has no choice “Dryin”; did you mean “Drying”?"]
    )
    expect(workspace.revision_id).to eq(before)
  end
end
