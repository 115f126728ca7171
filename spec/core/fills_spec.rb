# frozen_string_literal: true

require "core_helper"

# Typed by hand beats filled: a rule writes over what was typed before the change
# that moves it, and leaves what was typed after.
RSpec.describe "Filling from other fields" do
  let(:fields) do
    [
      field("firing", "choice", choices: %w[Bisque Glaze Raku]),
      field("peak", "number"),
      field("hold", "number"),
      field("kiln"),
      field("zone"),
      field("phone"),
      field("second")
    ]
  end

  def fill(first, more = {}, **parts) =
    rule("fill", first, sets: [{"field" => first, **more.transform_keys(&:to_s)}], **parts)

  def made(*rules) = table(*fields, rules: rules)

  def mistake(*rules)
    made(*rules)
    nil
  rescue Core::Invalid => e
    e.problems.first.message
  end

  let(:glaze) { {"firing" => "Glaze", "peak" => number("1222"), "hold" => nil, "kiln" => "Big"} }

  # What each way of a fill makes of a record: rules, stored, typed => values.
  {
    "sets on a change" => [{to: "1000"}, {watch: ["firing"]}, {"firing" => "Raku"}, 1000],
    "lets be what does not change" => [{to: "1000"}, {watch: ["firing"]}, {"kiln" => "Small"}, 1222],
    "lets be what is given the same" => [{to: "1000"}, {watch: ["firing"]}, {"firing" => "glaze"}, 1222],
    "leaves it where the condition does not hold" => [
      {to: "1000"},
      {watch: ["firing"], when: 'firing = "Bisque"'},
      {"firing" => "Raku"},
      1222
    ],
    "sets something else there" => [
      {to: "1000", else: "900 + 1"},
      {watch: ["firing"], when: 'firing = "Bisque"'},
      {"firing" => "Raku"},
      901
    ],
    "takes several values in one list" => [
      {to: "1240"},
      {watch: ["firing"], when: 'firing in ("Bisque", "Raku")'},
      {"firing" => "Raku"},
      1240
    ],
    "clears" => [{to: "blank"}, {watch: ["firing"]}, {"firing" => "Raku"}, nil],
    "fills only what is blank" => [
      {to: "1000"},
      {watch: ["firing"], only_blank: true},
      {"firing" => "Raku"},
      1222
    ],
    "yields to the hand" => [{to: "1000"}, {watch: ["firing"]}, {"firing" => "Raku", "peak" => "7"}, 7],
    "yields to a hand that clears" => [
      {to: "1000"},
      {watch: ["firing"]},
      {"firing" => "Raku", "peak" => ""},
      nil
    ],
    "overrules it when told so" => [
      {to: "1000"},
      {watch: ["firing"], overrules: true},
      {"firing" => "Raku", "peak" => "7"},
      1000
    ],
    "watches what it reads when nothing else is said" => [{to: "hold * 10"}, {}, {"hold" => "5"}, 50],
    "acts when a condition becomes true" => [
      {to: "1"},
      {event: "reached", reaches: "hold > 10"},
      {"hold" => "11"},
      1
    ],
    "does not act while it stays false" => [
      {to: "1"},
      {event: "reached", reaches: "hold > 10"},
      {"hold" => "10"},
      1222
    ],
    "acts on new records alone" => [{to: "1"}, {event: "made"}, {"hold" => "11"}, 1222]
  }.each do |name, (set, parts, typed, expected)|
    it name do
      expect(save(made(fill("peak", set, **parts)), typed, stored: glaze).values["peak"]).to eq(expected)
    end
  end

  it "acts on a new record, on what defaults gave too, and not again once a condition is true" do
    design =
      made(
        rule("default", "firing", value: "Raku"),
        fill("peak", {to: "1000"}, watch: ["firing"]),
        fill("hold", {to: "3"}, event: "made"),
        fill("kiln", {to: '"New"'}, event: "reached", reaches: "peak = 1000")
      )
    expect(save(design, {}).values.values_at("peak", "hold", "kiln")).to eq([1000, 3, "New"])
    expect(
      save(design, {"kiln" => ""}, stored: {"peak" => number("1000"), "kiln" => "Old"}).values["kiln"]
    ).to be_nil
    expect(
      save(design, {"hold" => "9"}, stored: {"peak" => number("1000"), "kiln" => "Old"}).values["kiln"]
    ).to eq("Old")
  end

  it "runs in the order of what is read, through calculated values too, whatever the order of pinning" do
    rules = [
      fill("zone", {to: 'kiln & "!"'}),
      fill("kiln", {to: "upper(phone)"}),
      rule("calculation", "phone", formula: 'firing & "-" & hold'),
      fill("hold", {to: "peak / 2"})
    ]
    rules.permutation.each do |order|
      expect(save(made(*order), {"peak" => "8", "firing" => "Raku"}).values["zone"]).to eq("RAKU-4!")
    end
  end

  it "is moved by a link that is chosen, through a value worked out along it too" do
    rules = [
      rule("calculation", "share", formula: "weight * if maker.joined is blank then 1 else 2"),
      fill("whose", {to: 'share & ""'}, watch: ["share"])
    ]
    plan = Core::Save::Plan.new(studio("pieces" => rules).table("pieces"), Core::Conventions.from({}))
    live = ->(typed) do
      Core::Save.call(
        plan,
        Core::Save::Draft.new(
          typed: typed,
          stored: {"maker" => 5, "weight" => number("3"), "whose" => "old", "share" => number("3")},
          id: 1,
          live: true
        ),
        context(records: studio_records)
      ).values[
        "whose"
      ]
    end
    expect(
      [{}, {"maker" => 4}, {"whose" => "mine", "maker" => 4}, {"maker" => 4, "whose" => "mine"}].map(&live)
    ).to eq(%w[old 6 6 mine])
  end

  it "refuses a circle and names its members; the value before is none" do
    expect(
      mistake(fill("peak", {to: "hold"}), fill("hold", {to: "len(zone)"}), fill("zone", {to: 'peak & ""'}))
    ).to eq(
      "Circular reference: Peak → Hold → Zone → Peak. If you mean the value before this save, write `old.hold`."
    )
    expect(mistake(fill("peak", {to: "hold"}), rule("calculation", "hold", formula: "peak + 1"))).to include(
      "Circular reference"
    )
    expect(mistake(fill("peak", {to: "peak + 1"}, watch: ["firing"]))).to start_with(
      "Circular reference in Peak: the formula uses the field it sets. " \
        "If you mean the value before this save, write `old.peak`"
    )
    expect(
      save(
        made(fill("peak", {to: "old.peak + 1"}, watch: ["firing"])),
        {"firing" => "Raku"},
        stored: glaze
      ).values[
        "peak"
      ]
    ).to eq(1223)
  end

  {
    {sets: []} => "Choose the fields to set.",
    {sets: [{"field" => "hold", "to" => "1"}], watch: ["firing"]} =>
      "The rule is pinned on Peak, so it must set that field too.",
    {sets: [{"field" => "peak", "to" => "1"}]} =>
      "This formula uses no fields. Select trigger fields, or run it when a record is created.",
    {sets: [{"field" => "peak", "to" => "kiln"}]} => "number",
    {sets: [{"field" => "peak", "to" => "hold"}, {"field" => "gone", "to" => "1"}]} =>
      "There is no field `gone` in Pieces.",
    {event: "reached", sets: [{"field" => "peak", "to" => "1"}]} => "Enter the condition that starts the rule.",
    {event: "often", sets: [{"field" => "peak", "to" => "1"}]} => "A fill runs when a field changes"
  }.each do |parts, message|
    it "refuses #{parts}" do
      expect(mistake(rule("fill", "peak", **parts))).to include(message)
    end
  end

  describe "with somebody typing" do
    let(:design) do
      made(
        rule("default", "firing", value: "Bisque"),
        rule(
          "decision",
          "peak",
          inputs: ["firing"],
          outputs: %w[peak hold],
          rows: [%w[Bisque 1000 20], ["Glaze", "1222", ""], %w[Raku 980 0]]
        ),
        fill("kiln", {to: '"Big"', else: '"Small"'}, watch: ["peak"], when: "peak > 1000"),
        fill("zone", {to: 'kiln & "/" & hold'}, only_blank: true),
        fill("phone", {to: "zone"}, watch: %w[zone hold], overrules: true),
        rule("state", "second", state: "enabled", when: "phone is not blank", otherwise: "clear")
      )
    end
    let(:plan) { Core::Save::Plan.new(design, Core::Conventions.from({})) }

    inputs = {
      "firing" => ["Bisque", "Glaze", "raku", ""],
      "peak" => ["1000", "1222", "900", "hot", ""],
      "hold" => ["20", "5", ""],
      "kiln" => %w[Big Small Raku],
      "zone" => ["A", ""],
      "phone" => ["1", ""],
      "second" => ["2", ""]
    }

    def run(typed, stored, live:) =
      Core::Save.call(plan, Core::Save::Draft.new(typed: typed, stored: stored, id: stored && 1, live: live), context)

    # The plain telling of the same: every typing is gone through from the first,
    # each value with the moment from which it is; a rule writes unless its target
    # was typed later than what moved it changed.
    def replay(typed, stored)
      values = (stored || {}).dup
      values["firing"] = "Bisque" if stored.nil? && !typed.key?("firing")
      since = Hash.new(-1)
      unread = {}
      typed.each_with_index do |(key, raw), moment|
        value = plan.fields[key].read(raw, reading)
        value.is_a?(Core::Values::Unreadable) ? unread[key] = true : values[key] = value
        since[key] = moment
      end
      moved = ->(keys) { keys.select { |key| values[key] != (stored || {})[key] } }
      set = lambda do |key, value, causes, overrules: false, only_blank: false|
        moment = moved.call(causes).map { |each| since[each] }.max || -1
        next if typed.key?(key) && !overrules && since[key] > moment
        next if values[key] == value && !typed.key?(key)
        next if only_blank && (!values[key].nil? || unread[key])

        values[key] = value
        unread.delete(key)
        since[key] = moment
      end
      table_row = {"Bisque" => [1000, 20], "Glaze" => [1222, nil], "Raku" => [980, 0]}[values["firing"]]
      table_row&.zip(%w[peak hold]) { |value, key| set.call(key, value, ["firing"]) } if moved.call(["firing"]).any?
      if moved.call(["peak"]).any? && !unread["peak"]
        set.call("kiln", ((values["peak"] || 0) > 1000) ? "Big" : "Small", ["peak"])
      end
      if moved.call(%w[kiln hold]).any? && !unread["hold"]
        set.call("zone", "#{values["kiln"]}/#{values["hold"]&.to_i}", %w[kiln hold], only_blank: true)
      end
      if moved.call(%w[zone hold]).any? && !unread["hold"]
        set.call("phone", values["zone"], %w[zone hold], overrules: true)
      end
      moment = since["phone"]
      values["second"] = nil if values["second"] && values["phone"].nil? && moved.call(%w[second phone]).any? &&
        !(typed.key?("second") && values["second"] != (stored || {})["second"] && since["second"] > moment)
      values
    end

    [
      nil,
      {
        "firing" => "Glaze",
        "peak" => BigDecimal("1222"),
        "hold" => nil,
        "kiln" => "Big",
        "zone" => nil,
        "phone" => nil,
        "second" => nil
      },
      {
        "firing" => "Raku",
        "peak" => BigDecimal("7"),
        "hold" => BigDecimal("1"),
        "kiln" => "Small",
        "zone" => "Z",
        "phone" => "Z",
        "second" => "9"
      }
    ].each_with_index do |stored, index|
      it "comes to what a full replay comes to, live and saved, in whatever order it is typed (#{index})" do
        random = Random.new(RSpec.configuration.seed + index)
        400.times do
          steps =
            Array.new(random.rand(1..8)) do
              inputs.to_a.sample(random: random).then { |key, texts| [key, texts.sample(random: random)] }
            end
          typed =
            steps.reduce({}) do |before, (key, text)|
              after = before.except(key).merge(key => text)
              live = run(after, stored, live: true)
              expect([steps, after, live.values.compact]).to eq([steps, after, replay(after, stored).compact])
              after.except(*live.overtaken)
            end
          live, saved = [true, false].map { |each| run(typed, stored, live: each) }
          expect([steps, saved.values, saved.refusals.map(&:message)]).to eq(
            [steps, live.values, live.refusals.map(&:message)]
          )
        end
      end
    end

    it "tells which typed values a rule wrote over, and forgets what was wrong with them" do
      outcome = run({"peak" => "hot", "kiln" => "Own", "firing" => "Glaze"}, nil, live: true)
      expect([outcome.values["peak"], outcome.values["kiln"], outcome.overtaken.sort, outcome.refusals]).to eq(
        [1222, "Big", %w[kiln peak], []]
      )
      expect(run({"firing" => "Glaze", "peak" => "hot"}, nil, live: true).refusals.map(&:field)).to eq(["peak"])
    end
  end
end
