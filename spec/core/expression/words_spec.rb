# frozen_string_literal: true

require "core_helper"

RSpec.describe "Expressions in words" do
  let(:design) do
    table(
      field("clay", "number"),
      field("tare", "number"),
      field("wet", "number"),
      field("received", "date"),
      field("collect_by", "date"),
      field("stage", "choice", choices: %w[Drying Glazed]),
      field("fired", "yes_no")
    )
  end

  def requirement(text)
    project = Core::Design::Project.from(
      "name" => "Studio",
      "tables" => [
        {
          "id" => "t1", "key" => "kilns", "label" => "Kilns", "one" => "Kiln",
          "fields" => [
            *%w[clay tare wet].map { |key| field(key, "number") },
            *%w[received collect_by].map { |key| field(key, "date") },
            field("stage", "choice", choices: %w[Drying Glazed]),
            field("fired", "yes_no")
          ]
        },
        {
          "id" => "t2", "key" => "pieces", "label" => "Pieces",
          "fields" => [field("kiln", "link", target: "kilns").merge("id" => "f90")]
        }
      ]
    )
    Core::Expression::Requirement.new(project.table("kilns").scope).sentence(Core::Expression.parse(text))
  end

  def words(text, subject = nil)
    Core::Expression::Humanizer.new(design.scope, subject: subject).humanize(Core::Expression.parse(text))
  end

  it "says fields by their labels and signs as people read them" do
    {
      "clay + tare = wet" => "Clay + Tare = Wet",
      "(clay + tare) * 2" => "(Clay + Tare) × 2",
      "received + 14" => "Received + 14",
      "today()" => "today",
      "user.name" => "person signed in",
      "clay between 0 and 90" => "Clay from 0 to 90",
      "stage in (\"Drying\")" => "Stage is “Drying”",
      "clay is not blank" => "Clay is not blank",
      "not (clay is blank or tare is blank)" => "not (Clay is blank or Tare is blank)",
      "old.stage" => "previous Stage",
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

  it "says every function as people would, whatever it is given" do
    {
      "round(clay, 1)" => "Clay rounded to 1 decimal",
      "round(clay)" => "Clay rounded to a whole number",
      "roundup(clay * 2, 2) + 1" => "((Clay × 2) rounded up to 2 decimals) + 1",
      "left(stage, 2)" => "first 2 characters of Stage",
      "right(stage)" => "last character of Stage",
      "mid(stage, 2, 3)" => "3 characters of Stage from position 2 on",
      "substitute(stage, \" \", \"\")" => "Stage without “ ”",
      "coalesce(stage, \"x\")" => "first non-blank value of Stage and “x”",
      "mod(clay, 5)" => "remainder of Clay ÷ 5",
      "days(collect_by, received)" => "days from Received to Collect by",
      "eomonth(received, 0)" => "last day of the month of Received",
      "max(clay, tare, wet)" => "highest of Clay, Tare and Wet"
    }.each { |text, wanted| expect(words(text)).to eq(wanted) }

    # Nothing reads as a call of its name, and no argument is left out.
    Core::Expression::Functions.all.each_value do |function|
      given = function.parameters.flat_map { |each| each.many ? %w[Clay Tare] : [each.name] }
      said = Core::Expression::Spoken.speak(function.name, given)
      expect(said).not_to match(/\b#{function.name} of [^,]+, /), said
      expect(given.first(2).reject { |each| said.include?(each) } - %w[type mode]).to eq([]), said
    end
  end

  it "says a condition as what must be so" do
    {
      "clay + tare = wet" => "Clay + Tare must equal Wet.",
      "clay > 0" => "Clay must be more than 0.",
      "collect_by >= received" => "Collect by must be on or after Received.",
      "received < today()" => "Received must be before today.",
      "clay between 0 and 90" => "Clay must be between 0 and 90.",
      "stage in (\"Drying\", \"Glazed\")" => "Stage must be one of “Drying”, “Glazed”.",
      "stage starts with \"D\"" => "Stage must start with “D”.",
      "not (stage contains \"x\")" => "Stage must not contain “x”.",
      "clay is not blank" => "Clay must not be blank.",
      "clay > 0 and tare > 0" => "Clay must be more than 0, and Tare must be more than 0.",
      "not (clay > 9 and tare > 9)" => "Not allowed: Clay > 9 and Tare > 9.",
      "fired" => "Fired must be yes.",
      "not fired" => "Fired must be no.",
      "stage <> \"Glazed\" or clay > 5" => "If Stage = “Glazed”, Clay must be more than 5.",
      "not fired or clay > 5" => "If Fired is yes, Clay must be more than 5.",
      "clay is blank or clay > 5" => "If Clay is not blank, Clay must be more than 5.",
      "if fired then clay > 5 else yes" => "If Fired is yes, Clay must be more than 5.",
      "is_new or clay > old.clay" => "Once the record exists, Clay must be more than previous Clay.",
      "clay > 5 or tare > 5" => "Must be true: Clay > 5 or Tare > 5.",
      "changed(clay)" => "Must be true: Clay changed.",
      "count(pieces) < 5" => "Number of Pieces of this kiln must be less than 5."
    }.each { |text, wanted| expect([text, requirement(text)]).to eq([text, wanted]) }
  end

  it "says of a yes/no field in a condition that it is yes or no" do
    {
      "if fired then 1 else 2" => "if Fired is yes then 1, else 2",
      "fired and not (clay > 1)" => "Fired is yes and not (Clay > 1)",
      "not fired or clay = 1" => "Fired is no or Clay = 1",
      "fired = no" => "Fired = no"
    }.each { |text, wanted| expect(words(text)).to eq(wanted) }
  end

  it "tells what was meant by a label, a choice without quotes, and a function without brackets" do
    design =
      table(
        field("wet_weight", "number", label: "Wet weight g"),
        field("stage", "choice", choices: ["Drying", "Glaze fired"]),
        field("day", "date")
      )
    told = ->(text) do
      Core::Expression.compile(text, design.scope) && nil
    rescue Core::Expression::Invalid => e
      e.problems.map { |each| [each.message, text[each.from...each.to]] }.first
    end
    expect(told.call("wet weight g > 5")).to eq(
      ["In formulas “Wet weight g” is written `wet_weight`.", "wet weight g"]
    )
    expect(told.call("stage = drying")).to eq(
      ["“Drying” is a choice of Stage. Put it in quotes: \"Drying\".", "drying"]
    )
    expect(told.call("if stage = Glaze fired then 1 else 2")).to eq(
      ["“Glaze fired” is a choice of Stage. Put it in quotes: \"Glaze fired\".", "Glaze fired"]
    )
    expect(told.call("day < today").first).to eq("`today` is a function; write `today()`.")
    expect(told.call("stage = \"Wet weight g")&.first).not_to include("is called")
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

  it "gives three conditions or more a line each" do
    text = "clay > 1 and tare > 2 and (stage = \"Drying\" or fired)"
    expect(words(text)).to eq("Clay > 1\nand Tare > 2\nand (Stage = “Drying” or Fired is yes)")
    expect(words("clay > 1 and tare > 2")).to eq("Clay > 1 and Tare > 2")
    expect(requirement("clay > 1 and tare > 2 and fired")).to eq(
      "Clay must be more than 1,\nand Tare must be more than 2,\nand Fired must be yes."
    )
  end

  it "says a chain of ifs in rows" do
    rows = ->(text) { Core::Expression::CaseRows.of(Core::Expression.parse(text), design.scope) }
    expect(rows.call("if stage = \"Drying\" then 1 else if clay > 5 or tare is blank then clay else blank")).to eq(
      [["Stage = “Drying”", "1"], ["Clay > 5 or Tare is blank", "Clay"], [nil, "blank"]]
    )
    expect([rows.call("if clay > 5 then 1 else 2"), rows.call("clay + 1")]).to eq([[], []])
  end

  it "leaves to the rows what they say, and keeps the rest of a rule's sentence" do
    chain = "if stage = \"Drying\" then 1 else if stage = \"Glazed\" then 2 else 3"
    sets = [{"field" => "clay", "to" => chain}, {"field" => "tare", "to" => "wet"}]
    design = table(
      *%w[clay tare wet].map { |key| field(key, "number") },
      field("stage", "choice", choices: %w[Drying Glazed]),
      rules: [rule("fill", "clay", event: "changed", watch: ["stage"], sets: sets)]
    )
    fill = design.rules.first
    expect(fill.sentence_above_rows(design)).to eq(
      "When Stage changes, Clay is set to the value of the first row that applies and Tare is set to Wet."
    )
    expect(fill.case_rows(design)).to eq(
      "clay" => [["Stage = “Drying”", "1"], ["Stage = “Glazed”", "2"], [nil, "3"]]
    )
  end

  it "shows the values that went in, and the sum when it fails" do
    evaluation =
      Core::Expression::Evaluation.new(
        values: {"clay" => number("640"), "tare" => number("55"), "wet" => number("700"), "stage" => "Drying"},
        context: context
      )
    shown = ->(text) do
      Core::Expression::EvaluatedHumanizer.new(design.scope, evaluation).humanize(Core::Expression.parse(text))
    end
    expect(shown.call("clay + tare = wet")).to eq("640 + 55 = 695, not 700")
    expect(shown.call("clay + tare >= wet * 2")).to eq("640 + 55 = 695, below 700 × 2 = 1400")
    expect(shown.call("clay + tare < wet")).to eq("640 + 55 < 700")
    expect(shown.call("clay < 90")).to eq("640 is not below 90")
    expect(shown.call("clay between 0 and 90")).to eq("640 is not from 0 to 90")
    expect(shown.call("if stage = \"Glazed\" then clay > 1 else clay between 1 and 9")).to eq(
      "“Drying” = “Glazed”: no, so 640 is not from 1 to 9"
    )
    expect(shown.call("collect_by > today()")).to eq("blank > 23 Nov 2026")
    expect(shown.call("stage = upper(\"x\")")).to eq("“Drying” is not “x” in uppercase = X")
  end

  it "follows a renamed field, and only that" do
    text = "clay + clay_2 + old.clay & \"clay\" -- clay"
    formula = Core::Expression.compile(text, table(field("clay", "number"), field("clay_2", "number")).scope)
    renamed = Core::Expression::Renaming.rename(text, formula.references, table: "pieces", key: "clay",
      to: "body_weight")
    expect(renamed).to eq("body_weight + clay_2 + old.body_weight & \"clay\" -- clay")
  end
end
