# frozen_string_literal: true

require "core_helper"

RSpec.describe "Expressions in words" do
  let(:design) { table(field("clay", "number"), field("tare", "number"), field("wet", "number"), field("received", "date"), field("collect_by", "date"), field("stage", "choice", choices: %w[Drying Glazed])) }

  def words(text, subject = nil)
    Core::Expression::Words.new(design.scope, subject: subject).of(Core::Expression.parse(text))
  end

  it "says fields by their labels and signs as people read them" do
    {
      "clay + tare = wet" => "Clay + Tare = Wet",
      "(clay + tare) * 2" => "(Clay + Tare) × 2",
      "received + 14" => "Received + 14",
      "today()" => "today",
      "user.name" => "person signed in",
      "clay between 0 and 90" => "Clay from 0 to 90",
      "stage in (\"Drying\")" => "Stage is one of “Drying”",
      "clay is not blank" => "Clay is not blank",
      "not (clay is blank or tare is blank)" => "not (Clay is blank or Tare is blank)",
      "old.stage" => "Stage before",
      "if clay > 1 then \"a\" else blank" => "if Clay > 1 then “a”, else blank",
      "date(\"2026-11-23\")" => "23 Nov 2026",
      "len(stage) > 3" => "length of Stage > 3",
      "-clay & \"x\"" => "−Clay & “x”",
      "is_new" => "the record is new",
      "stage starts with \"D\"" => "Stage starts with “D”",
      "10 - (5 - 2)" => "10 − (5 − 2)",
      "clay = 1 and (tare = 1 or wet = 1)" => "Clay = 1 and (Tare = 1 or Wet = 1)"
    }.each { |text, wanted| expect(words(text)).to eq(wanted) }
  end

  it "leaves out the field that goes without saying" do
    {
      "clay > 0" => "above 0",
      "clay >= 5" => "at least 5",
      "clay between 0 and 90" => "0 to 90",
      "clay in (1, 2)" => "one of 1, 2",
      "clay <> 3" => "not 3"
    }.each { |text, wanted| expect(words(text, "clay")).to eq(wanted) }
    expect(words("collect_by >= received", "collect_by")).to eq("on or after Received")
  end

  it "shows the values that went in, and the sum when it fails" do
    evaluation = Core::Expression::Evaluation.new(values: {"clay" => number("640"), "tare" => number("55"), "wet" => number("700"), "stage" => "Drying"}, context: context)
    shown = ->(text) { Core::Expression::Unfolded.new(design.scope, evaluation).of(Core::Expression.parse(text)) }
    expect(shown.call("clay + tare = wet")).to eq("640 + 55 = 695, not 700")
    expect(shown.call("clay + tare >= wet * 2")).to eq("640 + 55 = 695, below 700 × 2 = 1400")
    expect(shown.call("clay + tare < wet")).to eq("640 + 55 < 700")
    expect(shown.call("clay < 90")).to eq("640 is not below 90")
    expect(shown.call("clay between 0 and 90")).to eq("640 is not from 0 to 90")
    expect(shown.call("if stage = \"Glazed\" then clay > 1 else clay between 1 and 9")).to eq("“Drying” = “Glazed”: no, so 640 is not from 1 to 9")
    expect(shown.call("collect_by > today()")).to eq("blank > 23 Nov 2026")
    expect(shown.call("stage = upper(\"x\")")).to eq("“Drying” is not upper of “x” = X")
  end

  it "follows a renamed field, and only that" do
    text = "clay + clay_2 + old.clay & \"clay\" -- clay"
    formula = Core::Expression.compile(text, table(field("clay", "number"), field("clay_2", "number")).scope)
    renamed = Core::Expression::Renaming.of(text, formula.references, table: "pieces", key: "clay", to: "body_weight")
    expect(renamed).to eq("body_weight + clay_2 + old.body_weight & \"clay\" -- clay")
  end
end
