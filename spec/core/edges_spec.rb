# frozen_string_literal: true

require "core_helper"

RSpec.describe "Records at the edges" do
  def context_of(table) = context.tap { |found| found.records = Core::Ports::NoRecords }

  # What the edges of one rule type, and what comes of each.
  def edges(*fields, rules:, only: nil, ground: nil)
    ground ||= Core::Save::CompiledProject.new(project(*fields, rules: rules))
    table = ground.project.tables.last
    clock = Core::Design::ScriptClock.at("2026-11-23T09:00", ground.project.conventions)
    Core::Bench::BoundaryCases.new(ground, table, clock: clock).candidates(
      table.rules.select { |each| only.nil? || each.kind == only }
    )
  end

  def typed(candidates, key) =
    candidates.map do |each|
      [each.script["acts"].filter_map { |act| act["values"] }.last[key], each.trial.last.state]
    end

  def words(candidates) = candidates.flat_map(&:words)

  it "lie just below, on and just above each limit" do
    found = edges(field("peak", "number", decimals: 0), rules: [rule("limits", "peak", low: "600", high: "1300")])
    expect(typed(found, "peak")).to contain_exactly(
      %w[599 refused],
      %w[600 saved],
      %w[601 saved],
      %w[1299 saved],
      %w[1300 saved],
      %w[1301 refused],
      [nil, "saved"]
    )
    expect(words(found)).to include("Exactly on the maximum: Peak, 600 to 1300")
  end

  it "are found for sums, differences of days and what is worked out, whatever the formula is made of" do
    sum =
      edges(
        field("clay", "number", decimals: 0),
        field("tare", "number", decimals: 0),
        field("wet", "number", decimals: 0),
        rules: [rule("check", "wet", formula: "clay + tare = wet")]
      )
    expect(
      sum
        .select { |each| each.script["acts"].last["values"]["wet"] }
        .map do |each|
          each.script["acts"].last["values"].then do |typed|
            [(typed["clay"].to_i + typed["tare"].to_i) <=> typed["wet"].to_i, each.trial.last.state]
          end
        end
    ).to contain_exactly([-1, "refused"], [0, "saved"], [1, "refused"])
    days =
      edges(field("made", "date"), field("due", "date"), rules: [rule("check", "due", formula: "due - made >= 14")])
    expect(
      days
        .map { |each| each.script["acts"].last["values"] }
        .select { |typed| typed.values_at("due", "made").all? }
        .map { |values| values.then { |typed| Date.parse(typed["due"]) - Date.parse(typed["made"]) } }
        .uniq
    ).to include(13, 14, 15)
    worked =
      edges(
        field("a", "number", decimals: 0),
        field("twice", "number"),
        rules: [rule("calculation", "twice", formula: "a * 2"), rule("check", "twice", formula: "twice < 10")],
        only: "check"
      )
    expect(typed(worked, "a")).to include(%w[4 saved], %w[5 refused], %w[6 refused])
  end

  it "reach every row of a decision table that can be reached, as brute force does, and large ones at once" do
    cell = Struct.new(:values) { def fits?(value) = values.nil? || values.include?(value) }
    row = Struct.new(:cells)
    random = Random.new(RSpec.configuration.seed)
    300.times do
      inputs = Array.new(random.rand(1..4)) { (0...random.rand(1..5)).to_a }
      rows =
        Array.new(random.rand(1..8)) do
          row.new(inputs.map { |values| cell.new((random.rand < 0.3) ? nil : values.select { random.rand < 0.5 }) })
        end
      decides = ->(values) { rows.index { |each| each.cells.zip(values).all? { |one, value| one.fits?(value) } } }
      every = inputs.first.product(*inputs.drop(1)).map(&decides)
      [nil, *rows.each_index].each do |wanted|
        found = Core::Bench::BoundaryCases::RowValues.new(inputs, rows).find(wanted)
        expect([!found.nil?, found && decides.call(found)]).to eq(
          [every.include?(wanted), every.include?(wanted) ? wanted : nil]
        )
      end
    end
    keys = (1..6).map { |index| "i#{index}" }
    ranges = ->(share) { random.rand(100).then { |low| (random.rand < share) ? "" : "#{low}..#{low + 20}" } }
    # A row in which all is blank would leave none for those beneath it.
    cells = Array.new(40) { |place| [ranges.call(0), *keys.drop(1).map { ranges.call(0.2) }, "Row #{place}"] }
    found =
      edges(
        *keys.map { |key| field(key, "number", decimals: 0) },
        field("out", "text"),
        rules: [rule("decision", "out", name: "Large", inputs: keys, outputs: ["out"], rows: cells)]
      )
    expect(found.flat_map { |each| each.points.to_a.map(&:last) }.uniq).to include(
      "row 1",
      "row 20",
      "row 40",
      "no row"
    )
  end

  it "take both sides of every condition, and each choice and one that there is not" do
    fields = [field("firing", "choice", choices: %w[Bisque Glaze Raku]), field("peak", "number", decimals: 0)]
    found = edges(*fields, rules: [rule("check", "peak", formula: "not (firing = \"Raku\" and peak > 1000)")])
    expect(typed(found, "firing").map(&:first)).to include("Bisque", "Glaze", "Raku", "Bisque not")
    expect(found.map { |each| each.script["acts"].last["values"].slice("firing", "peak").values }).to include(
      %w[Raku 999],
      %w[Raku 1000],
      %w[Raku 1001]
    )
  end

  it "have texts one short and one too many, a repeated value, and what is blank" do
    found =
      edges(
        field("code"),
        field("name"),
        rules: [
          rule("mask", "code", mask: "2UPPER \"-\" 3DIGIT"),
          rule("unique", "code"),
          rule("required", "name"),
          rule("length", "name", least: 2, most: 5)
        ]
      )
    again = found.find { |each| words([each]).any? { |text| text.match?(/\AIt refuses: .*unique/) } }
    expect(again.script["acts"].map { |act| act["do"] }).to eq(%w[fill_in save new fill_in])
    expect(typed(found, "name").filter_map { |text, state| [text&.length, state] }).to include(
      [nil, "refused"],
      [1, "refused"],
      [2, "saved"],
      [5, "saved"],
      [6, "refused"]
    )
    expect(
      typed(found, "code").select { |_, state| state == "refused" }.filter_map { |text, _| text&.length }
    ).to include(5, 7)
  end

  it "change what was saved before, where a rule looks at that" do
    found =
      edges(
        field("status", "choice", choices: %w[Open Issued]),
        field("what"),
        field("on", "date"),
        rules: [
          rule("lock", "what", when: "status <> \"Open\"", except_role: "builder"),
          rule("stamp", "on", event: "reached", when: "status = \"Issued\"", which: "first")
        ]
      )
    locked = found.find { |each| each.trial.last.state == "refused" && each.script["person"]["role"] == "clerk" }
    expect(locked.script["acts"].map { |act| act["do"] }).to eq(%w[fill_in save fill_in])
  end

  it "meet each row of a decision table and none of them, and days on which calendars turn" do
    rows = [%w[Bisque 1000], %w[Glaze 1222]]
    found =
      edges(
        field("firing", "choice", choices: %w[Bisque Glaze Raku]),
        field("peak", "number"),
        rules: [rule("decision", "peak", inputs: ["firing"], outputs: ["peak"], rows: rows)]
      )
    expect(found.map { |each| each.trial.last.outcome.values["peak"]&.to_i }).to include(1000, 1222, nil)
    expect(
      words(
        edges(field("made", "date"), field("due", "date"), rules: [rule("calculation", "due", formula: "made + 14")])
      )
    ).to include("Made is a leap day: Due, Made + 14", "Made is the last day of a year: Due, Made + 14")
  end

  it "bring linked records along that are as a rule wants them" do
    ground =
      Core::Save::CompiledProject.new(
        studio("pieces" => [rule("check", "weight", formula: "weight <= maker.total")], "members" => [])
      )
    found = edges(rules: [], ground: ground)
    sides =
      found
        .select { |each| each.trial.last.outcome.values["weight"] }
        .map do |each|
          each.trial.last.outcome.values["weight"] <=>
            each.trial.world.find("members", each.trial.last.outcome.values["maker"])["total"]
        end
    expect(sides.uniq).to contain_exactly(-1, 0, 1)
  end

  it "are as few as show all of it" do
    found =
      edges(
        field("a", "number", decimals: 0),
        rules: [rule("limits", "a", low: "0"), rule("check", "a", formula: "a >= 0")]
      )
    expect(typed(found, "a").map(&:first)).to contain_exactly("-1", "0", "1", nil)
    expect(found.map { |each| each.words.length }).to all(be >= 2)
  end
end
