# frozen_string_literal: true

require "core_helper"

RSpec.describe "Calculated fields" do
  def calculated(formula, keeping, field: "due", **more) =
    rule("calculation", field, formula: formula, keeping: keeping, **more)

  def due(keeping, formula = "received + 14", *rules)
    table(
      field("received", "date"),
      field("due", "date"),
      field("days", "number", decimals: 0),
      rules: [calculated(formula, keeping), *rules]
    )
  end

  def values(outcome) = outcome.values.transform_values { |value| Core::Values.dump(value) }

  it "always equal their formula, blank included" do
    design = due("always")
    expect(values(save(design, {"received" => "23/11/26"}))).to include("due" => "2026-12-07")
    stored = {"received" => Date.new(2026, 11, 23), "due" => Date.new(2026, 12, 7), "days" => nil}
    outcome = save(design, {"received" => ""}, stored: stored, trace: true)
    expect([outcome.values["due"], outcome.changes.map { |change| [change.field.key, change.rule] }]).to eq(
      [nil, [["received", nil], %w[due r100]]]
    )
    expect(outcome.steps.find { |step| step.stage == "calculate" }.to_h).to include(
      result: "set",
      before: "7 Dec 2026",
      after: "",
      how: "Received is blank"
    )
  end

  it "can't be typed, unless it is the same" do
    design = due("always")
    expect(save(design, {"received" => "23/11/26", "due" => "7 dec 2026"})).to be_saved
    refused = save(design, {"received" => "23/11/26", "due" => "8 dec 2026"})
    expect(refused.refusals.map(&:to_h)).to eq(
      [
        {
          code: "worked_out",
          rule: "r100",
          field: "due",
          fields: ["due"],
          message: "Due is calculated and can't be edited.",
          passable: false
        }
      ]
    )
  end

  it "are worked out once, when the record is made or what they read is first there" do
    design = due("once")
    expect(values(save(design, {"received" => "23/11/26"}))).to include("due" => "2026-12-07")
    expect(values(save(design, {"received" => "23/11/26", "due" => "1/1/27"}))).to include("due" => "2027-01-01")
    expect(values(save(design, {"received" => "23/11/26", "due" => ""}))).to include("due" => nil)
    blank = {"received" => nil, "due" => nil, "days" => nil}
    expect(values(save(design, {"received" => "23/11/26"}, stored: blank))).to include("due" => "2026-12-07")
    given = {"received" => Date.new(2026, 11, 1), "due" => nil, "days" => nil}
    expect(values(save(design, {"received" => "23/11/26"}, stored: given))).to include("due" => nil)
    changed = given.merge("due" => Date.new(2026, 12, 24))
    expect(values(save(design, {"received" => "23/11/26", "due" => "2 jan 2027"}, stored: changed))).to include(
      "due" => "2027-01-02"
    )
    expect(values(save(design, {"received" => "23/11/26"}, stored: changed))).to include("due" => "2026-12-24")
  end

  it "that are not kept are worked out for whoever reads them, and change nothing" do
    design = due("shown", "received + 14", calculated("due - received", "always", field: "days"))
    outcome = save(design, {"received" => "23/11/26"})
    expect([values(outcome), outcome.changes.map { |change| change.field.key }]).to match(
      [a_hash_including("due" => "2026-12-07", "days" => "14"), %w[received days]]
    )
    plan = Core::Save::Plan.new(design, Core::Conventions.from({}))
    expect(plan.complete(1, {"received" => Date.new(2026, 1, 1)}, context)).to include("due" => Date.new(2026, 1, 15))
    expect(design.kept_fields.map(&:key)).to eq(%w[received days])
  end

  it "are blank with a note where there is no answer, and are rounded to the field's decimals" do
    design =
      table(
        field("a", "number"),
        field("b", "number"),
        field("c", "number", decimals: 1),
        rules: [calculated("a / b", "always", field: "c")]
      )
    expect(values(save(design, {"a" => "2", "b" => "3"}))).to include("c" => "0.7")
    outcome = save(design, {"a" => "2", "b" => "0"}, trace: true)
    expect([outcome.values["c"], outcome.steps.find { |step| step.rule }.how]).to eq([nil, "division by zero"])
    expect(save(design, {"a" => "999999999999999", "b" => "0.001"}, trace: true).steps.find(&:rule).how).to include(
      "15 digits"
    )
  end

  {
    ["always", "old.received + 1"] =>
      "`old.` and `changed(…)` is only available while saving. Choose “Once” instead.",
    ["shown", "if is_new then received else received + 1"] =>
      "`is_new` is only available while saving. Choose “Once” instead.",
    ["always", "due + 1"] => "Circular reference in Due: the formula uses the field it sets.",
    ["sometimes", "received"] =>
      "A calculated field is kept up to date (`always`), calculated on display (`shown`) or calculated `once`.",
    ["always", "14"] => "This must give a date; it gives a number."
  }.each do |(keeping, formula), message|
    it("refuses #{formula} kept #{keeping}") do
      expect { due(keeping, formula) }.to raise_error(Core::Invalid, message)
    end
  end

  it "have one formula, and no default that it would overrule" do
    expect { due("always", "received", calculated("received + 1", "once")) }.to raise_error(
      Core::Invalid,
      /already calculated by a rule/
    )
    expect { due("always", "received", rule("default", "due", value: "2026-01-01")) }.to raise_error(
      Core::Invalid,
      /has a default/
    )
  end

  describe "across tables" do
    it "name the members of a circle, whichever way it goes" do
      rules = {
        "members" => [rule("calculation", "total", formula: "sum(pieces.maker.share)")],
        "pieces" => [rule("calculation", "share", formula: "maker.total / 2")]
      }
      expect { studio(rules) }.to raise_error(
        Core::Invalid,
        "Circular reference: Total in Members → Share in Pieces " \
          "→ Total in Members."
      )
    end

    it "know what they read, in which order they follow, and what is worked out on reading" do
      project =
        studio(
          "members" => [
            rule("calculation", "greeting", formula: "title.text & name", keeping: "shown"),
            rule("calculation", "total", formula: "count(pieces.maker where stage = \"Drying\")")
          ],
          "pieces" => [
            rule("calculation", "whose", formula: "maker.greeting & user.name"),
            rule("calculation", "share", formula: "maker.total + len(maker.greeting)")
          ]
        )
      upkeep = project.upkeep
      expect(upkeep.order.map(&:place)).to eq(
        [%w[members greeting], %w[members total], %w[pieces whose], %w[pieces share]]
      )
      expect(
        [%w[members greeting], %w[members total], %w[pieces whose], %w[pieces share]].map do |place|
          upkeep.kept?(*place)
        end
      ).to eq([false, true, false, true])
      expect(upkeep.fleeting("pieces", "whose")).to eq(["`user`"])
      readers = ->(table, key) do
        upkeep
          .readers(table, key)
          .map { |reader| [reader.calculation.place.join("."), reader.steps.map { |step| [step.kind, step.key] }] }
      end
      expect(readers.call("titles", "text")).to eq([["pieces.share", [[:link, "maker"], [:link, "title"]]]])
      expect(readers.call("pieces", "stage")).to eq([["members.total", [[:linked, "maker"]]]])
      expect(readers.call("pieces", "maker")).to include(["members.total", [[:linked, "maker"]]], ["pieces.share", []])
    end

    it "carry a renamed field or table into every formula that names it" do
      project =
        studio(
          "members" => [
            rule(
              "calculation",
              "total",
              formula: "sum(pieces.maker.weight where stage = \"Drying\" and maker.name = this.name)"
            )
          ],
          "pieces" => [rule("calculation", "whose", formula: "maker.name -- name")]
        )
      changes = Core::Design::Changes
      renamed =
        changes::ChangeField.new(table: "members", field: "name", parts: {"label" => "Full name"}).apply(project)
      renamed =
        changes::ChangeField.new(table: "pieces", field: "maker", parts: {"label" => "Potter"}).apply(renamed)
      renamed = changes::ChangeTable.new(table: "pieces", parts: {"label" => "Pots"}).apply(renamed)
      expect(renamed.tables.flat_map { |each| each.rules.map { |rule| rule.attributes["formula"] } }).to eq(
        [
          "sum(pots.potter.weight where stage = \"Drying\" and potter.full_name = this.full_name)",
          "potter.full_name -- name"
        ]
      )
    end

    it "go along with a field or table that they can't be without" do
      project =
        studio(
          "members" => [rule("calculation", "total", formula: "sum(pieces.maker.weight)")],
          "pieces" => [rule("calculation", "whose", formula: "maker.name")]
        )
      changes = Core::Design::Changes
      left = ->(change) { change.apply(project).tables.flat_map { |each| each.rules.map(&:field) } }
      expect(left.call(changes::RemoveField.new(table: "members", field: "name"))).to eq(["total"])
      expect(left.call(changes::RemoveField.new(table: "pieces", field: "weight"))).to eq(["whose"])
      expect(left.call(changes::RemoveTable.new(table: "pieces"))).to eq([])
      expect { changes::RemoveTable.new(table: "members").apply(project) }.to raise_error(
        Core::Invalid,
        "Maker of Pieces and Helper of Pieces link to Members. Delete them or change their links first."
      )
    end
  end
end
