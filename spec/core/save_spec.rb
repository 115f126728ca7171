# frozen_string_literal: true

require "core_helper"

RSpec.describe "The save: a draft through the stages" do
  let(:design) do
    table(
      field("maker"),
      field("clay", "number"),
      field("tare", "number"),
      field("wet", "number"),
      field("received", "date"),
      field("collect_by", "date"),
      field("by"),
      field("ratio", "number", decimals: 2),
      field("firing", "choice", choices: %w[Bisque Glaze]),
      rules: [
        rule("default", "collect_by", formula: "received + 14"),
        rule("default", "received", formula: "today()"),
        rule("default", "by", formula: "user.name"),
        rule("default", "tare", value: "55"),
        rule("default", "ratio", formula: "wet / clay"),
        rule("default", "firing", formula: "if clay > 500 then \"Glaze\" else \"Pit\""),
        rule("required", "maker", message: "Select a maker."),
        rule("check", "wet", formula: "clay + tare = wet", message: "Clay and tare must add up to the wet weight."),
        rule("check", "clay", formula: "clay > 0")
      ]
    )
  end

  def dumped(outcome) = outcome.values.transform_values { |value| Core::Values.dump(value) }

  it "opens a new record with its defaults, each after those it reads" do
    outcome = save(design, {})
    expect(dumped(outcome)).to include(
      "received" => "2026-11-23",
      "collect_by" => "2026-12-07",
      "by" => "Odile Marsh",
      "tare" => "55",
      "ratio" => nil
    )
    expect(outcome.origins["collect_by"].to_h).to eq(
      source: "rule",
      rule: "r100",
      words: "Received + 14",
      pending: nil
    )
    expect(outcome.origins["tare"].words).to eq("default")
    expect(outcome.origins["maker"].source).to eq("blank")
  end

  it "follows what is typed, and leaves alone what was filled or cleared by hand" do
    expect(dumped(save(design, {"received" => "1/12/26"}))).to include(
      "received" => "2026-12-01",
      "collect_by" => "2026-12-15"
    )
    expect(dumped(save(design, {"received" => "", "collect_by" => "3 Jan 2027", "by" => ""}))).to include(
      "received" => nil,
      "collect_by" => "2027-01-03",
      "by" => nil
    )
  end

  it "rounds a computed value to the field's decimals, and fills no choice that is not on the list" do
    outcome = save(design, {"clay" => "300", "wet" => "100"}, trace: true)
    expect(dumped(outcome)).to include("ratio" => "0.33", "firing" => nil)
    expect(outcome.steps.find { |step| step.key == "firing" }.how).to eq(
      "“Pit” is not one of the choices: Bisque, Glaze."
    )
    expect(dumped(save(design, {"clay" => "600"}))).to include("firing" => "Glaze")
  end

  it "touches no default when a record is edited" do
    stored = design.fields.to_h { |field| [field.key, nil] }.merge("maker" => "Ansa", "clay" => number("1"))
    outcome = save(design, {"maker" => "Wilmet"}, stored: stored)
    expect(outcome).to be_saved
    expect(outcome.changes.map { |change| [change.field.key, change.before, change.after, change.rule] }).to eq(
      [["maker", "Ansa", "Wilmet", nil]]
    )
  end

  it "gathers all refusals in the order of the fields, and keeps what was typed" do
    outcome = save(design, {"clay" => "0", "wet" => "700", "collect_by" => "31 Feb"})
    expect(outcome).not_to be_saved
    expect(outcome.refusals.map { |refusal| [refusal.field, refusal.code, refusal.message, refusal.fields] }).to eq([
      ["maker", "required", "Select a maker.", ["maker"]],
      ["clay", "check", "Clay must be more than 0.", ["clay"]],
      ["wet", "check", "Clay and tare must add up to the wet weight.", %w[wet clay tare]],
      ["collect_by", "no_such_date", "31 February 2026 is not a valid date.", ["collect_by"]]
    ])
    expect(outcome.unreadable).to eq("collect_by" => "31 Feb")
  end

  it "does not judge what is blank or can't be read" do
    outcome = save(design, {"maker" => "A", "clay" => "many", "wet" => "7"}, trace: true)
    expect(outcome.refusals.map(&:field)).to eq(%w[clay])
    expect(outcome.steps.select { |step| step.stage == "validate" && step.result == "skipped" }.map(&:how)).to eq(
      ["Clay can't be read yet"] * 2
    )
    expect(save(design, {"maker" => "A", "wet" => "7"})).to be_saved
    expect(
      save(design, {"maker" => "A", "wet" => "7"}, trace: true)
        .steps
        .select { |step| step.key == "wet" && step.stage == "validate" }
        .map(&:how)
    ).to eq(["Clay is blank"])
  end

  it "says every step in words when somebody looks, and none otherwise" do
    expect(save(design, {"clay" => "640", "wet" => "700"}).steps).to be_empty
    steps = save(design, {"clay" => "640", "wet" => "700", "maker" => "Ansa"}, trace: true).steps
    told = steps.map { |step| [step.stage, step.field, step.result, step.before, step.after, step.how] }
    expect(told).to include(
      ["typed", "Clay", "read", "", "640", "typed “640”"],
      ["default", "Received", "set", "", "23 Nov 2026", "23 Nov 2026"],
      ["default", "Collect by", "set", "", "7 Dec 2026", "23 Nov 2026 + 14"],
      ["validate", "Maker", "passed", nil, nil, "it has a value"],
      ["validate", "Wet", "refused", nil, "Clay and tare must add up to the wet weight.", "640 + 55 = 695, not 700"]
    )
    order = %w[typed] + Core::Stages::ALL.map(&:key)
    expect(steps.map { |step| order.index(step.stage) }).to eq(steps.map { |step| order.index(step.stage) }.sort)
    expect(steps.map(&:stage)).not_to include("log")
  end

  it "logs each change of a record that is let through" do
    steps = save(design, {"maker" => "Ansa", "received" => ""}, trace: true).steps
    expect(steps.select { |step| step.stage == "log" }.map { |step| [step.field, step.after] }).to include(
      %w[Maker Ansa],
      ["By", "Odile Marsh"]
    )
  end

  it "works by the clock and the person that it is given" do
    outcome = save(design, {}, today: Date.new(2028, 2, 29), name: "Bram Tolley")
    expect(dumped(outcome)).to include("received" => "2028-02-29", "collect_by" => "2028-03-14", "by" => "Bram Tolley")
  end

  it "comes to the same whatever the order in which the fields are sent" do
    typed = {"clay" => "600", "wet" => "655", "maker" => "A", "received" => "1/1/27"}
    outcomes = typed.to_a.permutation.map { |pairs| dumped(save(design, pairs.to_h)) }
    expect(outcomes.uniq.length).to eq(1)
  end

  it "has a pretend port for what the core asks of others" do
    ports = Core::Ports
    expect(ports::NoRecords.find("pieces", 1)).to be_nil
    counting = Core::Rules::Kinds::Number::Counting.new("f1", "", 5, 2)
    counters = ports::HeldCounters.new
    expect(
      [counters.next(counting), counters.take(counting, 5, "A5"), counters.next(counting), counters.owner("f1", "A5")]
    ).to eq([5, 5, 7, :new])
    clock = ports::StoppedClock.new(now: Time.utc(2026, 11, 23, 23), today: Date.new(2026, 11, 24))
    expect(clock.day_of(Time.utc(2026, 11, 20, 1))).to eq(Date.new(2026, 11, 21))
  end
end
