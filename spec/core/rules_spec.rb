# frozen_string_literal: true

require "core_helper"

RSpec.describe "The kinds of rule" do
  def steps_of(outcome, stage) =
    outcome.steps.select { |step| step.stage == stage }.map { |step| [step.field, step.result, step.how] }

  it "are all in the registry, each at a stage that there is" do
    stages = Core::Stages::ALL.map(&:key)
    Core::Rules.all.each do |name, kind|
      expect(kind.kind).to eq(name)
      expect(stages).to include(kind.stage)
      expect(kind.ancestors).to include(Core::Rules::Rule)
    end
    expect(stages).to eq(%w[default mask tidy fill calculate number validate log])
  end

  it "go to plain data and back, and keep nothing that is not theirs" do
    attributes = {
      "id" => "r1",
      "kind" => "check",
      "field" => "hold",
      "formula" => "hold > 0",
      "message" => "Hold it.",
      "name" => "held",
      "note" => "why",
      "junk" => 1
    }
    expect(Core::Rules.from(attributes).attributes).to eq(attributes.except("junk"))
    expect(Core::Rules.from(attributes.merge("name" => " ", "note" => "", "message" => nil)).attributes).to eq(
      attributes.slice("id", "kind", "field", "formula")
    )
  end

  describe "a default" do
    let(:design) do
      table(
        field("tag"),
        field("firing", "choice", choices: %w[Bisque Glaze]),
        field("fragile", "yes_no"),
        field("hold", "number", decimals: 0),
        field("due", "date"),
        rules: [
          rule("default", "tag", formula: "\"PC-\" & hold"),
          rule("default", "firing", value: "Glaze"),
          rule("default", "fragile", value: false),
          rule("default", "hold", formula: "if firing = \"Glaze\" then 12.5 else 20"),
          rule("default", "due", formula: "if fragile then today() + 1 else blank")
        ]
      )
    end

    {
      {} => {"tag" => "PC-13", "firing" => "Glaze", "fragile" => false, "hold" => "13", "due" => nil},
      {"firing" => "bisque"} => {
        "tag" => "PC-20",
        "firing" => "Bisque",
        "fragile" => false,
        "hold" => "20",
        "due" => nil
      },
      {"firing" => ""} => {"tag" => "PC-20", "firing" => nil, "fragile" => false, "hold" => "20", "due" => nil},
      {"fragile" => "yes"} => {
        "tag" => "PC-13",
        "firing" => "Glaze",
        "fragile" => true,
        "hold" => "13",
        "due" => "2026-11-24"
      },
      {"hold" => "7", "tag" => ""} => {
        "tag" => nil,
        "firing" => "Glaze",
        "fragile" => false,
        "hold" => "7",
        "due" => nil
      },
      {"hold" => "many"} => {"tag" => nil, "firing" => "Glaze", "fragile" => false, "hold" => nil, "due" => nil}
    }.each do |typed, wanted|
      it "opens #{typed} as #{wanted}" do
        expect(save(design, typed).values.transform_values { |value| Core::Values.dump(value) }).to eq(wanted)
      end
    end

    it "says in the trace why it did not fill" do
      steps = steps_of(save(design, {"hold" => "many", "firing" => "", "fragile" => "yes"}, trace: true), "default")
      expect(steps).to include(
        ["Firing", "skipped", "cleared by hand"],
        ["Fragile", "skipped", "filled by hand"],
        ["Hold", "skipped", "filled by hand"],
        ["Tag", "skipped", "Hold can't be read yet"]
      )
      expect(steps_of(save(design, {}, trace: true), "default")).to include(["Due", "skipped", "the result is blank"])
    end
  end

  describe "a validation" do
    def verdicts(formula, records, *fields)
      design = table(*fields, rules: [rule("check", fields.first["key"], formula: formula)])
      records.map { |typed| save(design, typed).saved? }
    end

    {
      "peak between 600 and 1300" => [
        {"599" => false, "600" => true, "601" => true, "1299" => true, "1300" => true, "1301" => false, "" => true}
      ],
      "peak > 600" => [{"600" => false, "600.1" => true, "" => true}],
      "peak <= 600 or peak = 1000" => [{"600" => true, "601" => false, "1000" => true, "1000.00" => true}],
      "peak in (1000, 1222)" => [{"1000" => true, "1001" => false, "" => true}],
      "peak is blank" => [{"" => true, "0" => false}],
      "peak mod 5 = 0" => [{"10" => true, "11" => false, "0" => true}]
    }.each do |formula, (cases)|
      it "lets pass and refuses at its edges: #{formula}" do
        expect(
          cases
            .keys
            .zip(verdicts(formula, cases.keys.map { |text| {"peak" => text} }, field("peak", "number")))
            .to_h
        ).to eq(cases)
      end
    end

    it "compares two fields, equal ones included, and does not judge a blank one" do
      records =
        [%w[1/1/26 2/1/26], %w[2/1/26 2/1/26], %w[3/1/26 2/1/26], ["", "2/1/26"], ["3/1/26", ""]].map do |a, b|
          {"received" => a, "collect_by" => b}
        end
      fields = [field("received", "date"), field("collect_by", "date")]
      expect(verdicts("collect_by >= received", records, *fields)).to eq([true, true, false, true, true])
      expect(verdicts("collect_by > received", records, *fields)).to eq([true, false, false, true, true])
    end

    it "reads what was before an edit" do
      design =
        table(
          field("stage", "choice", choices: %w[Drying Fired]),
          rules: [
            rule(
              "check",
              "stage",
              formula: "not (old.stage = \"Fired\" and stage = \"Drying\")",
              message: "A fired piece does not dry again."
            )
          ]
        )
      expect(save(design, {"stage" => "Drying"}, stored: {"stage" => "Fired"}).refusals.map(&:message)).to eq(
        ["A fired piece does not dry again."]
      )
      expect(save(design, {"stage" => "Fired"}, stored: {"stage" => "Drying"})).to be_saved
      expect(save(design, {"stage" => "Drying"})).to be_saved
    end
  end
end
