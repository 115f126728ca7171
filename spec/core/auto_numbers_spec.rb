# frozen_string_literal: true

require "core_helper"

RSpec.describe "Auto-numbers" do
  def tagged(fields = [field("tag"), field("maker"), field("received", "date")], **parts)
    table(*fields, rules: [rule("number", "tag", formula: '"PC-" & counter(5)', **parts)])
  end

  def problem(**parts)
    tagged(**parts)
    nil
  rescue Core::Invalid => e
    e.problems.first.message
  end

  # Saves new records one after the other, all counted by the same counters.
  def numbers(design, *records, **draft)
    counters = Core::Ports::HeldCounters.new
    plan = Core::Save::Plan.new(design, Core::Conventions.from({}))
    records.map do |typed|
      around = context.dup.tap { |each| each.counters = counters }
      outcome = Core::Save.call(plan, Core::Save::Draft.new(typed: typed, stored: nil, **draft), around)
      outcome.saved? ? outcome.values["tag"] : outcome.refusals.map { |each| [each.field, each.message] }
    end
  end

  {
    [{}, 3] => %w[PC-00001 PC-00002 PC-00003],
    [{start: 42, step: 10}, 3] => %w[PC-00042 PC-00052 PC-00062],
    [{start: 0}, 2] => %w[PC-00000 PC-00001],
    [{formula: "counter(1)", start: 9}, 2] => %w[9 10],
    [{formula: 'counter(2) & "/" & counter(4)', start: 7}, 2] => %w[07/0007 08/0008],
    # More digits than the padding: it goes on.
    [{formula: '"T" & counter(1)', start: 8}, 4] => %w[T8 T9 T10 T11],
    [{formula: 'upper(left(maker, 3)) & "-" & counter(6)'}, 2] => %w[ANS-000001 ANS-000002]
  }.each do |(parts, count), expected|
    it "counts #{parts.empty? ? "on" : parts} to #{expected.join(", ")}" do
      expect(numbers(tagged(**parts), *Array.new(count) { {"maker" => "Ansa"} })).to eq(expected)
    end
  end

  it "begins anew for each value of the series" do
    design = tagged(formula: 'year(received) & "/" & counter(3)', series: "year(received)")
    days = ["1 Dec 2026", "31 Dec 2026", "1 Jan 2027", "2 Dec 2026", "5 Jan 2027"]
    expect(numbers(design, *days.map { |day| {"received" => day} })).to eq(
      %w[2026/001 2026/002 2027/001 2026/003 2027/002]
    )
    expect(numbers(design, {})).to eq(
      [[["received", "Numbering of Tag restarts for each year of Received, which is blank. Fill in Received first."]]]
    )
  end

  it "refuses a number that somebody types, unless the rule lets people type it or it comes along" do
    expect(numbers(tagged, {"tag" => "PC-00007"})).to eq([[["tag", "Tag is set by a rule and can't be edited."]]])
    by_hand = tagged(by_hand: true)
    expect(numbers(by_hand, {"tag" => "PC-00007"}, {}, {"tag" => "Old 3"}, {}, {"tag" => ""})).to eq(
      ["PC-00007", "PC-00008", "Old 3", "PC-00009", "PC-00010"]
    )
    expect(numbers(tagged, {"tag" => "PC-00041"}, {}, {"tag" => "PC-00007"}, {}, brings: true)).to eq(
      %w[PC-00041 PC-00042 PC-00007 PC-00043]
    )
  end

  it "never gives a number twice" do
    expect(numbers(tagged(by_hand: true), {"tag" => "PC-00001"}, {"tag" => "PC-00001"}).last).to eq(
      [["tag", "PC-00001 was already used, to a deleted record. Numbers can't be reused."]]
    )
    # Two ways to the same text: the second passes over it.
    design = tagged(formula: 'left("" & counter(3), 2)', by_hand: true)
    expect(numbers(design, {}, {}, {"tag" => "02"}, {})).to eq(["00", "01", "02", "03"])
  end

  it "leaves a number alone that was given, whatever becomes of what it is made of" do
    stored = {"tag" => "ANS-000001", "maker" => "Ansa", "received" => nil}
    design = tagged(formula: 'upper(left(maker, 3)) & "-" & counter(6)')
    expect(save(design, {"maker" => "Wilmet"}, stored: stored).values["tag"]).to eq("ANS-000001")
    expect(save(design, {"tag" => ""}, stored: stored).refusals.map(&:message)).to eq(
      ["Tag is set by a rule and can't be edited."]
    )
    expect(save(design, {"maker" => "Wilmet"}, stored: stored.merge("tag" => nil)).values["tag"]).to be_nil
  end

  it "writes the letters anew where the builder asked for it, and keeps the count" do
    design = tagged(formula: 'upper(left(maker, 3)) & "-" & counter(6)', follow: true)
    counters = Core::Ports::HeldCounters.new
    rule = Core::Save::Plan.new(design, Core::Conventions.from({})).rules_at("number").first
    counters.keep(rule.counting(""), 17, "ANS-000017", record: 3)
    around = context.dup.tap { |each| each.counters = counters }
    draft =
      Core::Save::Draft.new(
        typed: {"maker" => "Wilmet"},
        stored: {"tag" => "ANS-000017", "maker" => "Ansa", "received" => nil},
        id: 3
      )
    outcome = Core::Save.call(Core::Save::Plan.new(design, Core::Conventions.from({})), draft, around)
    expect(outcome.changes.map { |change| [change.field.key, change.after, change.rule] }).to eq(
      [%w[tag WIL-000017 r100], ["maker", "Wilmet", nil]]
    )
  end

  it "is read by calculations, which wait for it" do
    design =
      table(
        field("label"),
        field("tag"),
        rules: [
          rule("calculation", "label", formula: '"Piece " & tag'),
          rule("number", "tag", formula: '"PC-" & counter(3)')
        ]
      )
    outcome = save(design, {}, trace: true)
    expect(outcome.values).to include("tag" => "PC-001", "label" => "Piece PC-001")
    expect(outcome.steps.select { |step| step.result == "set" }.map { |step| [step.stage, step.key] }).to eq(
      [%w[number tag], %w[number label]]
    )
  end

  it "says in a live form what the number would be" do
    plan = Core::Save::Plan.new(tagged, Core::Conventions.from({}))
    origin = Core::Save.call(plan, Core::Save::Draft.new(typed: {}, stored: nil, live: true), context).origins["tag"]
    expect(origin.to_h).to include(source: "rule", pending: true, words: "not assigned yet")
  end

  it "tells the series and the count of a number that it finds" do
    rule =
      Core::Save::Plan
        .new(tagged(formula: 'upper(left(maker, 3)) & "-" & counter(6)'), Core::Conventions.from({}))
        .rules_at("number")
        .first
    told =
      %w[ANS-000042 ANS-42 WIL-000042 000042 ANS-].map do |text|
        rule.series_and_count(Core::Expression::Evaluation.new(values: {"maker" => "Ansa"}, context: context),
          text).last
      end
    expect(told).to eq([42, 42, nil, nil, nil])
  end

  {
    {formula: "tag & counter(3)"} => "Circular reference in Tag",
    {formula: '"PC-"'} => "Add `counter(…)`",
    {formula: "counter(0)"} => "A counter has 1 to 15 digits",
    {formula: "counter(2.5)"} => "A counter has 1 to 15 digits",
    {formula: "counter(maker)"} => "A counter has 1 to 15 digits",
    {formula: "counter(3) + 1"} => "can't be added",
    {step: 0} => "The step must be 1 or more",
    {start: -1} => "must be a whole number",
    {series: "year(received)"} => "Numbers would repeat: include Received in the number",
    {series: '"all"'} => "Enter what numbering restarts for",
    {series: "year(recieved)"} => "There is no field `recieved`",
    {formula: "changed(maker) & counter(3)"} => "only available while saving"
  }.each do |parts, message|
    it "refuses #{parts}" do
      expect(problem(**parts)).to include(message)
    end
  end

  it "counts in an auto-number alone" do
    expect(problem_of("counter(5)").message).to eq("`counter(…)` can only be used in an auto-number.")
    expect {
      table(field("tag"), rules: [rule("number", "tag", formula: "counter(3)"), rule("default", "tag", value: "A")])
    }.to raise_error(Core::Invalid, /already set by another rule/)
    circle = [rule("number", "tag", formula: "label & counter(3)"), rule("calculation", "label", formula: "tag")]
    expect { table(field("label"), field("tag"), rules: circle) }.to raise_error(Core::Invalid, /Circular/)
  end
end
