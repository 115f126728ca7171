# frozen_string_literal: true

require "core_helper"

# What was found of conditions before is remembered from one change of a design to the next. Each of these designs is
# one change away from the one before; nothing else may tell them apart than what is found without any memory.
RSpec.describe "Notices that are remembered" do
  fills = ["n < 2", "n > 2", "n >= 2", "twice > 3", "c = \"Red\"", "c = \"Blue\" and n = 1", "owner.age > 3", "not b"]
  changes = {
    condition: ->(design, random) { filled(design, random)["when"] = fills.sample(random: random) },
    order: ->(design, random) { pieces(design)["rules"].shuffle!(random: random) },
    limit: ->(design, random) { rule_of(design, "limits", "n")["high"] = random.rand(1..5).to_s },
    required: ->(design, _) { toggle(design, "required", "n") },
    formula: ->(design, random) { rule_of(design, "calculation", "twice")["formula"] = "n * #{random.rand(1..4)}" },
    label: ->(design, random) { pieces(design)["fields"].sample(random: random)["label"] = "L#{random.rand(100)}" },
    choices: ->(design, random) { field_of(design, "c")["choices"] = %w[Red Blue Green].take(random.rand(1..3)) },
    decimals: ->(design, random) { field_of(design, "n")["decimals"] = random.rand(0..1) },
    linked: ->(design, random) {
      design["tables"].last["fields"].last["type"] = %w[number text].sample(random: random)
    },
    title: ->(design, random) { filled(design, random)["name"] = "Rule #{random.rand(9)}" }
  }

  def pieces(design) = design["tables"].first

  def rule_of(design, kind, key)
    pieces(design)["rules"].find { |each| each.values_at("kind", "field") == [kind, key] }
  end

  def field_of(design, key) = pieces(design)["fields"].find { |each| each["key"] == key }
  def filled(design, random) = pieces(design)["rules"].select { |each| each["kind"] == "fill" }.sample(random: random)

  def toggle(design, kind, key)
    found = rule_of(design, kind, key)
    found ? pieces(design)["rules"].delete(found) : pieces(design)["rules"] << rule(kind, key).merge("id" => "r99")
  end

  def design_of_three_fills
    pieces = [
      field("n", "number", decimals: 0), field("c", "choice", choices: %w[Red Green Blue]), field("b", "yes_no"),
      field("twice", "number"), field("out"), field("owner", "link", target: "people")
    ]
    fill = ->(text) { rule("fill", "out", watch: ["n"], when: text, sets: [{"field" => "out", "to" => "\"x\""}]) }
    rules = [
      rule("limits", "n", low: "0", high: "4"), rule("calculation", "twice", formula: "n * 2"),
      fill.call("n < 2"), fill.call("n > 2"), fill.call("owner.age > 3")
    ]
    first = project_attributes(*pieces, rules: rules)
    people = {"id" => "t2", "key" => "people", "label" => "People", "rules" => [],
              "fields" => [field("name"), field("age", "number")].map { |each| each.merge("id" => "p#{each["key"]}") }}
    {**first, "tables" => [*first["tables"], people]}
  end

  def notices(design)
    Core::Design::Project.from(design).tables.first.notices.all.map { |notice|
      [notice.to_h.except(:examples), notice.examples.map(&:to_h)]
    }
  end

  it "are those that are found without memory, after any change" do
    random = Random.new(RSpec.configuration.seed)
    design = design_of_three_fills
    told = []
    Thorough.rounds(60).times do
      trial = Marshal.load(Marshal.dump(design))
      kind = changes.keys.sample(random: random)
      instance_exec(trial, random, &changes[kind])
      begin
        remembered = notices(trial)
      rescue Core::Invalid
        next # The change does not suit a formula, as the checks of a design would say.
      end
      design = trial
      Core::Linting::KnownCases.clear
      expect(remembered).to eq(notices(trial)), "after a change of #{kind}: #{remembered}\n#{notices(trial)}"
      told |= remembered.map { |notice, _| notice[:message] }
    end
    expect(told.length).to be > 5
  end
end
