# frozen_string_literal: true

require "core_helper"

RSpec.describe "The map of what feeds what" do
  let(:project) do
    studio(
      "members" => [rule("calculation", "total", formula: "sum(pieces.maker.weight)"), rule("required", "name")],
      "pieces" => [
        rule("check", "weight", formula: "weight > 0"),
        rule("fill", "whose", sets: [{"field" => "whose", "to" => "maker.name"}]),
        rule("calculation", "share", formula: "weight / maker.total"),
        rule("default", "stage", value: "Drying"),
        rule("check", "stage", formula: "old.stage <> stage", name: "moved"),
        rule("mask", "tag", mask: "\"PC-\" 1DIGIT", half: "refuse")
      ]
    )
  end
  let(:map) { Core::Analysis::RuleGraph.new(project) }

  def rule_on(table, field, kind) =
    project.table(table).rules.find { |each| each.field == field && each.kind == kind }.id

  def feeding(id) = map.edges.select { |edge| edge.to == id }.map { |edge| edge.from.join(".") }.sort
  def fed(id) = map.edges.select { |edge| edge.from == id }.map { |edge| [edge.how, edge.to.join(".")] }

  it "goes along links and back from linked records" do
    expect(feeding(rule_on("pieces", "whose", "fill"))).to eq(%w[members.name pieces.maker])
    expect(feeding(rule_on("members", "total", "calculation"))).to eq(%w[pieces.maker pieces.weight])
    expect(feeding(rule_on("pieces", "share", "calculation"))).to eq(%w[members.total pieces.maker pieces.weight])
  end

  it "tells what sets a field from what only checks it" do
    expect(fed(rule_on("pieces", "whose", "fill"))).to eq([["writes", "pieces.whose"]])
    expect(fed(rule_on("pieces", "stage", "default"))).to eq([["writes", "pieces.stage"]])
    expect(fed(rule_on("pieces", "weight", "check"))).to eq([["checks", "pieces.weight"]])
    expect(fed(rule_on("pieces", "tag", "mask"))).to eq([["writes", "pieces.tag"]])
  end

  it "marks what is read as it was before the save" do
    id = rule_on("pieces", "stage", "check")
    expect(map.edges.select { |edge| edge.to == id }.map(&:before)).to contain_exactly(true, false)
  end

  it "gives each rule its place, by stage and then in the order of what is read" do
    places = map.places
    order = project.table("pieces").rules.sort_by { |each| places[each.id] }.map(&:stage)
    expect(order).to eq(%w[default mask fill calculate validate validate])
    expect(places.values_at(*project.table("members").rules.map(&:id)).sort).to eq([1, 2])
  end
end

RSpec.describe "What Up Tack says by itself" do
  let(:project) do
    studio(
      "pieces" => [
        rule("required", "weight"),
        rule("calculation", "share", formula: "weight / 2"),
        rule(
          "fill",
          "whose",
          sets: [
            {"field" => "whose", "to" => "maker.name"},
            {"field" => "stage", "to" => '"Drying"', "else" => "blank"}
          ],
          when: "weight > 3",
          only_blank: true
        )
      ]
    )
  end
  let(:pieces) { project.table("pieces") }

  def said(key) = Core::Design::Descriptions.field(pieces.field(key), pieces)

  it "of a field: what it is, what writes it and what holds of it" do
    expect(said("tag")).to eq("Text. Entered by hand; no rule sets it.")
    expect(said("weight")).to start_with("A number. Entered by hand; no rule sets it. Weight is required.")
    expect(said("maker")).to start_with("A link to a record of Members.")
    expect(said("stage")).to eq(
      "One of Drying or Collected. When Weight or Maker changes, Whose is set to Name of Maker " \
        "if Weight > 3 and Stage is set to “Drying” if Weight > 3, else to blank, only blank fields."
    )
  end

  it "of a table: how much is in it and what it links to, as far as may be told" do
    expect(Core::Design::Descriptions.table(pieces)).to eq(
      "Links to Members."
    )
    expect(Core::Design::Descriptions.table(project.table("members"))).to include(
      "Links to Titles. Linked from Pieces."
    )
    expect(
      Core::Design::Descriptions.table(project.table("members")) { |table| table.key != "titles" }
    ).not_to include("Titles")
  end
end
