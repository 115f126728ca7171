# frozen_string_literal: true

require "core_helper"

RSpec.describe "A save in two halves" do
  def partition(rules, **others)
    project = studio({"pieces" => rules}.merge(others))
    Core::Save::PlanPartition.new(Core::Save::Plan.new(project.table("pieces"), project.conventions), project.upkeep)
  end

  def kinds(turns) = turns.values.flatten.map { |rule| "#{rule.rule.kind} #{rule.rule.field}" }

  number = {"kind" => "number", "field" => "tag", "formula" => "\"PC-\" & counter(3)"}
  heavy = {"kind" => "check", "field" => "weight", "formula" => "weight < 100"}
  shown = ->(formula) { {"kind" => "calculation", "field" => "share", "formula" => formula, "keeping" => "shown"} }

  # What waits, by what it reads.
  {
    "a number, and nothing that leaves it alone" => [[number, heavy], ["number tag"]],
    "a check of the number" => [
      [number, {"kind" => "length", "field" => "tag", "most" => 9}],
      ["number tag", "length tag"]
    ],
    "what other records have" => [[heavy, {"kind" => "unique", "field" => "weight"}], ["unique weight"]],
    "a stamp" => [[heavy, {"kind" => "stamp", "field" => "whose", "event" => "made"}], ["stamp whose"]],
    "a sum over other records of the table, and who reads it" => [
      [
        shown.call("count(maker.pieces.maker)"),
        {"kind" => "check", "field" => "share", "formula" => "share < 9"},
        heavy
      ],
      ["calculation share", "check share"]
    ],
    "a fill that reads such a sum before its turn" => [
      [
        shown.call("count(maker.pieces.maker)"),
        {
          "kind" => "fill",
          "field" => "whose",
          "event" => "made",
          "sets" => [{"field" => "whose", "to" => "\"No. \" & share"}]
        }
      ],
      ["fill whose", "calculation share"]
    ],
    "what is worked out elsewhere from records of the table" => [
      [shown.call("maker.total"), heavy],
      ["calculation share"],
      {"members" => [{"kind" => "calculation", "field" => "total", "formula" => "count(pieces.maker)"}]}
    ],
    "nothing that goes along links to other tables" => [
      [shown.call("maker.total"), {"kind" => "copy", "field" => "whose", "formula" => "maker.name"}],
      [],
      {"members" => [{"kind" => "calculation", "field" => "total", "formula" => "len(name)"}]}
    ]
  }.each do |what, (rules, waiting, others)|
    it "leaves for later #{what}" do
      found = partition(rules, **(others || {}))
      expect([kinds(found.dependent), (kinds(found.independent) + kinds(found.dependent)).sort]).to eq(
        [waiting, rules.map { |rule| "#{rule["kind"]} #{rule["field"]}" }.sort]
      )
    end
  end

  # Whether nobody could tell that a record waits to be written with others.
  {
    "numbers, stamps and checks of itself" => [
      [number, heavy, {"kind" => "stamp", "field" => "whose", "event" => "made"}],
      true
    ],
    "what other records have" => [[heavy, {"kind" => "unique", "field" => "weight"}], false],
    "a sum over other records of the table" => [[shown.call("count(maker.pieces.maker)")], false],
    "links to records that are known by their own name" => [
      [],
      true,
      {"members" => [{"kind" => "calculation", "field" => "total", "formula" => "len(name)"}]}
    ],
    "links to records that may be known by a sum over it" => [
      [],
      false,
      {"members" => [{"kind" => "calculation", "field" => "total", "formula" => "count(pieces.maker)"}]}
    ]
  }.each do |what, (rules, alone, others)|
    it "#{"does not stand" unless alone}#{"stands" if alone} alone with #{what}" do
      expect(partition(rules, **(others || {})).order_independent?).to be(alone)
    end
  end

  it "leaves open what is still set later, and links, whose names may be others by then" do
    found = partition([number, heavy])
    expect([found.open.map { |field, place| [field.key, place] }, found.closed.map { |field, _| field.key }]).to eq(
      [[["tag", 0], ["maker", 1], ["helper", 2]], %w[weight stage whose share]]
    )
  end

  it "is not begun where records of the table link to one another" do
    attributes = {
      "name" => "Kilns",
      "last_id" => 9,
      "tables" => [
        {
          "id" => "t1",
          "key" => "kilns",
          "label" => "Kilns",
          "fields" => [field("name"), link("next_to", "kilns")],
          "rules" => [{"id" => "r1", "kind" => "required", "field" => "name"}]
        }
      ]
    }
    project = Core::Design::Project.from(attributes)
    expect(
      Core::Save::PlanPartition.new(
        Core::Save::Plan.new(project.table("kilns"), project.conventions),
        project.upkeep
      ).any?
    ).to be(false)
  end

  content = Core::Design::ProjectFile.read(File.read(File.expand_path("../../demo/kiln_share.json", __dir__)))
  let(:ground) { Core::Save::CompiledProject.new(content.project) }
  let(:world) do
    Core::Bench::RecordOverlay.new(
      ground,
      records: {
        "members" => {1 => {"name" => "Ansa Velt"}},
        "orders" => {1 => {}},
        "pieces" => {1 => mug},
        "clays" => {1 => {"family" => "Stoneware", "limit" => number(1260)}}
      }
    )
  end
  let(:mug) do
    content.project.table("pieces").fields.to_h { |each| [each.key, nil] }.merge("piece" => "Mug", "maker" => 1)
  end
  let(:seen) { context(records: world).tap { |found| world.context = found } }

  def outcome(found) =
    [
      found.values,
      found.changes.map(&:to_a),
      found.refusals,
      found.passed,
      found.values.keys.to_h { |key| [key, found.origins[key].to_a.first(2)] }
    ]

  content.project.tables.each do |table|
    it "comes to the same as one that is made at once, for made-up records of #{table.label}" do
      table = ground.project.table(table.key)
      plan = ground.plan(table.key)
      partition = Core::Save::PlanPartition.new(plan, ground.project.upkeep)
      linked = table.fields.select(&:link?).to_h { |each| [each.key, world.present(each.target).map(&:first)] }
      maker =
        Core::Bench::Samples::RecordGenerator.new(
          table,
          context: seen,
          profile: Core::Bench::Samples::Profile.new(table, []),
          linked: linked,
          random: Random.new(5)
        )
      random = Random.new(6)
      begun =
        Array.new(60) do |index|
          typed = Core::Bench::Samples::RecordGenerator.typed(table, maker.values)
          typed = typed.reject { random.rand(4).zero? } if index.odd?
          at_once = Core::Save.call(plan, Core::Save::Draft.new(typed: typed), counting)
          half = Core::Save.run_independent(plan, Core::Save::Draft.new(typed: typed), counting, partition)
          # Whatever can't be handed over is made at once, so it must be worth it.
          unless half
            expect(at_once.refusals + at_once.passed + at_once.unreadable.to_a + at_once.overtaken).not_to(eq([]))
          end
          next unless half

          half = Marshal.load(Marshal.dump(half.pack(plan))).unpack(plan)
          finished =
            Core::Save.run_dependent(
              plan,
              Core::Save::Draft.new(typed: typed.transform_values { nil }),
              half,
              counting,
              partition
            )
          expect(outcome(finished)).to eq(outcome(at_once))
        end
      expect(begun.compact).not_to be_empty
    end
  end

  def counting = seen.dup.tap { |found| found.counters = Core::Bench::Counters.new }
end
