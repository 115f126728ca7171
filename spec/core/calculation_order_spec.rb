# frozen_string_literal: true

require "core_helper"

# What is worked out from what, as the board and the store see it.
RSpec.describe "The upkeep of calculated fields" do
  def pinned(field, formula, keeping = "always") = rule("calculation", field, formula: formula, keeping: keeping)

  it "orders calculations by what they read, whatever the order in which they are pinned" do
    rules = [pinned("whose", "greeting_of & share"), pinned("share", "weight * 2")]
    fields = [field("weight", "number"), field("share", "number"), field("greeting_of"), field("whose")]
    [rules, rules.reverse].each do |some|
      upkeep = project(*fields, rules: some).upkeep
      expect(upkeep.order.map { |each| each.field.key }).to eq(%w[share whose])
      expect(
        save(project(*fields, rules: some).tables.first, {"weight" => "2", "greeting_of" => "x"}).values["whose"]
      ).to eq("x4")
    end
  end

  it "passes through what is not kept to what that reads, with the way there" do
    upkeep =
      studio(
        "members" => [pinned("greeting", "title.text & \" \" & name", "shown")],
        "titles" => [],
        "pieces" => [
          pinned("whose", "helper.greeting"),
          pinned("share", "count(maker.pieces.maker where maker.greeting = this.tag)")
        ]
      ).upkeep
    ways = ->(table, key) do
      upkeep
        .readers(table, key)
        .map { |reader| [reader.calculation.field.key, reader.steps.map { |step| "#{step.kind} #{step.key}" }] }
    end
    expect(ways.call("titles", "text")).to eq(
      [
        ["whose", ["link helper", "link title"]],
        ["share", ["link maker", "linked maker", "link maker", "link title"]]
      ]
    )
    expect(ways.call("members", "name")).to eq(
      [["whose", ["link helper"]], ["share", ["link maker", "linked maker", "link maker"]]]
    )
    expect(ways.call("pieces", "tag")).to eq([["share", []]])
    expect(ways.call("members", "greeting")).to eq([])
    expect(upkeep.paths(upkeep.calculation("pieces", "whose")).map { |steps| steps.map(&:key) }).to eq(
      [["helper"], %w[helper title]]
    )
  end

  it "knows which record `this.` means, however deep aggregates stand within one another" do
    upkeep =
      studio(
        "titles" => [],
        "members" => [
          pinned(
            "total",
            "count(pieces.maker where count(helper.pieces.maker where tag <> this.tag) > 1 and tag <> this.name)"
          )
        ]
      ).upkeep
    ways = ->(table, key) do
      upkeep.readers(table, key).map { |reader| reader.steps.map { |step| "#{step.kind} #{step.key}" } }
    end
    expect(ways.call("pieces", "tag")).to contain_exactly(
      ["linked maker"],
      ["linked maker", "link helper", "linked maker"]
    )
    expect(ways.call("members", "name")).to eq([[]])
    expect(
      seen_from("members", 4, "count(pieces.maker where count(helper.pieces.maker where weight > this.weight) = 1)")
    ).to eq("1")
  end

  it "knows what changes by itself, through as many fields as there are between" do
    upkeep = studio(
      "members" => [pinned("greeting", "name & now()", "shown"), pinned("total", "days(today(), joined)")],
      "pieces" => [pinned("whose", "maker.greeting & user.email"), pinned("share", "maker.total * 2", "once")]
    ).upkeep
    expect(upkeep.fleeting("pieces", "whose")).to eq(["`user`", "`now()` in Greeting"])
    expect(
      [%w[members total], %w[pieces whose], %w[pieces share], %w[pieces weight]].map { |place| upkeep.kept?(*place) }
    ).to eq([false, false, true, true])
    formula =
      Core::Expression.compile(
        "maker.total > 3",
        studio("members" => [pinned("total", "days(today(), joined)")]).table("pieces").scope
      )
    expect(upkeep.fleeting_in(formula)).to eq(["`today()` in Total"])
  end

  {
    "in one table" => [{"pieces" => [["whose", "tag & share"], %w[share len(whose)]]}, "Whose → Share → Whose"],
    "through a link back" => [
      {"members" => [%w[total max(pieces.maker.share)]], "pieces" => [["share", "helper.total + 1"]]},
      "Total in Members → Share in Pieces → Total in Members"
    ],
    "through one that is not kept" => [
      {"members" => [%w[greeting join(pieces.maker.whose) shown]], "pieces" => [%w[whose maker.greeting]]},
      "Greeting in Members → Whose in Pieces → Greeting in Members"
    ],
    "through one that is worked out once" => [
      {"pieces" => [["whose", "tag & share"], %w[share len(whose) once]]},
      "Whose → Share → Whose"
    ],
    "of a field with itself along a link" => [{"pieces" => [["share", "max(maker.pieces.maker.share) + 1"]]}, nil]
  }.each do |name, (rules, circle)|
    it "refuses a circle #{name}" do
      make = -> do
        studio(
          rules.transform_values do |some|
            some.map { |field, formula, keeping| pinned(field, formula, keeping || "always") }
          end
        )
      end
      said =
        if circle
          "Circular reference: #{circle}."
        else
          "Circular reference in Share: the formula uses the field it sets."
        end
      expect(&make).to raise_error(Core::Invalid, said)
    end
  end

  # Rules that ask whether a value is kept, or what it reads, before anybody looked for a circle.
  [
    {kind: "unique", field: "whose"},
    {kind: "unique", field: "tag", with: %w[whose]},
    {kind: "check", field: "tag", formula: "whose is not blank"},
    {kind: "default", field: "weight", formula: "share + 1"},
    {kind: "fill", field: "weight", event: "changed", watch: %w[share], sets: [{"field" => "weight", "to" => "share"}]},
    {kind: "stamp", field: "tag", event: "changed", watch: %w[whose]}
  ].product(%w[always shown], %w[always shown once]).each do |other, first, second|
    it "refuses one kept #{first} and #{second} beside #{other[:kind]} of #{other[:field]}" do
      circle = [pinned("whose", "stage & share", first), pinned("share", "len(whose)", second)]
      expect { studio("pieces" => [*circle, other.transform_keys(&:to_s)]) }.to raise_error(
        Core::Invalid,
        /Circular reference: (Whose → Share|Share → Whose)|is not stored/
      )
    end
  end

  it "says a link's side by side values, and nothing of a record that is not there" do
    expect(seen_from("pieces", 1, "maker.name & \"/\" & helper.name")).to eq("Ansa Velt/Maro Tinsley")
    gone = Core::Ports::HeldRecords.new({"pieces" => {1 => {"maker" => 77}}})
    formula =
      Core::Expression.compile("maker.name & maker.id & count(maker.pieces.maker)", studio.table("pieces").scope)
    evaluation =
      Core::Expression::Evaluation.new(
        values: {"maker" => 77},
        context: context(records: gone),
        is_new: false,
        id: 1
      )
    expect(formula.call(evaluation)).to eq("1")
  end
end
