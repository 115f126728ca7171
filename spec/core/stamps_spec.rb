# frozen_string_literal: true

require "core_helper"

RSpec.describe "Stamps, tallies and log lines" do
  let(:fields) do
    [
      field("piece"),
      field("stage", "choice", choices: %w[Drying Glazed Collected]),
      field("weight", "number"),
      field("done", "yes_no")
    ]
  end

  # What a rule makes of its field in a save. The clock stands at 23 Nov 2026, 9:30.
  def after(field, rule, stored, typed, **more)
    design = table(*fields, field, rules: [rule])
    stored = design.fields.to_h { |each| [each.key, nil] }.merge(stored) if stored
    Core::Values.dump(save(design, typed, stored: stored, **more).values[field["key"]])
  end

  def stamp(event, type = "date", **parts) = [field("at", type), rule("stamp", "at", event: event, **parts)]

  collected = {when: 'stage = "Collected"'}
  early = "2026-01-05"
  [
    # a new record, a change of a watched field, of another one, and none
    ["made", "moment", {}, nil, {"piece" => "Mug"}, nil, "2026-11-23T09:30:00Z"],
    ["made", "text", {}, nil, {}, nil, "Odile Marsh"],
    ["made", "date", {}, {}, {"piece" => "Mug"}, nil, nil],
    ["changed", "date", {}, {}, {"piece" => "Mug"}, early, "2026-11-23"],
    ["changed", "date", {}, {"piece" => "Mug"}, {"piece" => "Mug"}, early, early],
    ["changed", "date", {watch: %w[weight stage]}, {}, {"piece" => "Mug"}, early, early],
    ["changed", "text", {watch: %w[weight stage]}, {}, {"weight" => "5"}, nil, "Odile Marsh"],
    ["changed", "date", {}, nil, {"piece" => "Mug"}, nil, "2026-11-23"],
    # a condition: comes true, was true, was true without a stamp, ends
    ["reached", "date", collected, {"stage" => "Drying"}, {"stage" => "Collected"}, nil, "2026-11-23"],
    ["reached", "date", collected, nil, {"stage" => "Collected"}, nil, "2026-11-23"],
    ["reached", "date", collected, {"stage" => "Drying"}, {"stage" => "Collected"}, early, early],
    [
      "reached",
      "date",
      collected.merge(which: "last"),
      {"stage" => "Drying"},
      {"stage" => "Collected"},
      early,
      "2026-11-23"
    ],
    [
      "reached",
      "date",
      collected.merge(which: "last"),
      {"stage" => "Collected"},
      {"piece" => "Mug"},
      early,
      early
    ],
    ["reached", "date", collected.merge(which: "last"), {"stage" => "Collected"}, {"piece" => "Mug"}, nil, nil],
    ["reached", "date", collected, {"stage" => "Collected"}, {"piece" => "Mug"}, nil, "2026-11-23"],
    ["reached", "date", collected, {"stage" => "Collected"}, {"stage" => "Drying"}, early, early],
    [
      "reached",
      "date",
      collected.merge(clears: true),
      {"stage" => "Collected"},
      {"stage" => "Drying"},
      early,
      nil
    ],
    ["reached", "date", {when: "weight > 10"}, {"weight" => nil}, {"piece" => "Mug"}, nil, nil]
  ].each do |event, type, parts, stored, typed, held, expected|
    it "stamps “#{event}”#{" #{parts}" if parts.any?} " \
      "on #{stored ? "#{stored} with #{held.inspect}" : "a new record"} given #{typed} " \
      "as #{expected.inspect}" do
      at, rule = stamp(event, type, **parts)
      stored &&= stored.merge("at" => held && Core::Values[type].load(held))
      expect(after(at, rule, stored, typed)).to eq(expected)
    end
  end

  [
    [nil, {"piece" => "Mug"}, nil, "0"],
    [{}, {"weight" => "5"}, "2", "3"],
    [{}, {"weight" => "5", "stage" => "Drying"}, "2", "3"],
    [{}, {"piece" => "Mug"}, "2", "2"],
    [{}, {"weight" => "5"}, nil, "1"]
  ].each do |stored, typed, held, expected|
    it "tallies #{typed} on #{stored ? held.inspect : "a new record"} as #{expected}" do
      stored &&= {"edits" => held && number(held)}
      expect(after(field("edits", "number"), rule("tally", "edits", watch: %w[weight stage]), stored, typed)).to eq(
        expected
      )
    end
  end

  it "never counts what the log stage writes itself" do
    fields = [
      field("piece"),
      field("edits", "number"),
      field("all", "number"),
      field("at", "date"),
      field("twice", "number")
    ]
    rules = [
      rule("tally", "edits"),
      rule("tally", "all", watch: []),
      rule("stamp", "at", event: "changed"),
      rule("calculation", "twice", formula: "edits * 2")
    ]
    design = table(*fields, rules: rules)
    stored = {
      "piece" => "Mug",
      "edits" => number("1"),
      "all" => number("1"),
      "at" => Date.new(2026, 1, 1),
      "twice" => number("2")
    }
    expect(save(design, {}, stored: stored).changes).to be_empty
    expect(save(design, {"piece" => "Bowl"}, stored: stored).values).to include(
      "edits" => 2,
      "all" => 2,
      "twice" => 4,
      "at" => CoreHelp::TODAY
    )
    expect {
      table(*fields, rules: [rules.first, rules.last, rule("tally", "all", watch: ["twice"])])
    }.to raise_error(Core::Invalid, /set at the Log stage/)
    expect { table(*fields, rules: [rule("tally", "edits", watch: ["edits"])]) }.to raise_error(Core::Invalid)
  end

  describe "log lines" do
    let(:account) { field("story", "long_text") }

    it "adds a line for each event below those before, and puts the tick back" do
      design =
        table(
          *fields,
          account,
          rules: [
            rule("line", "story", event: "ticked", tick: "done", formula: '"Glazed by " & user.name'),
            rule(
              "line",
              "story",
              event: "changed",
              watch: ["weight"],
              formula: '"Weighs " & weight & " g"',
              pattern: "yyyy-MM-dd"
            ),
            rule("line", "story", event: "reached", when: 'stage = "Collected"', formula: '"Gone"', pattern: "")
          ]
        )
      stored = {"piece" => nil, "stage" => "Drying", "weight" => nil, "done" => nil, "story" => "Earlier"}
      outcome = save(design, {"done" => "yes", "weight" => "640", "stage" => "Collected"}, stored: stored)
      expect(outcome.values).to include(
        "done" => false,
        "story" => "Earlier\n23 Nov 2026, 09:30  Glazed by Odile Marsh\n2026-11-23  Weighs 640 g\nGone"
      )
      expect(
        outcome
          .changes
          .select { |change| change.field.key == "done" }
          .map { |change| [change.before, change.after, change.rule] }
      ).to eq([[nil, true, nil], [true, false, "r100"]])
      expect(save(design, {"done" => "no"}, stored: stored.merge("done" => true)).values["story"]).to eq("Earlier")
      expect(save(design, {"story" => "Rewritten"}, stored: stored).refusals.map(&:message)).to eq(
        ["Story is set by a rule and can't be edited."]
      )
    end

    it "shows the latest line first where the field is read so, and keeps them in their order" do
      turned = Core::Design::Field.from(account.merge("format" => {"turned" => true}))
      expect([turned.show("one\ntwo"), turned.edit("one\ntwo")]).to eq(%W[two\none one\ntwo])
    end
  end

  {
    ["stamp", "at", "number", {event: "made"}] => "A stamp needs a date, date-and-time or text field.",
    ["stamp", "at", "date", {event: "begun"}] => "A stamp records when",
    ["stamp", "at", "date", {event: "reached"}] => "Enter the condition",
    ["stamp", "at", "date", {event: "reached", when: "weight"}] => "This must be yes or no",
    ["stamp", "at", "date", {event: "reached", when: "changed(weight)"}] => "the stamp itself detects",
    ["stamp", "at", "date", {event: "changed", watch: ["gone"]}] => "There is no field `gone`",
    ["stamp", "at", "date", {event: "changed", watch: ["at"]}] => "A stamp can't be its own trigger field",
    ["tally", "at", "date", {}] => "A tally needs a number field.",
    ["line", "at", "text", {event: "changed", formula: '"x"'}] => "A log line needs a long text field.",
    ["line", "at", "long_text", {event: "ticked", formula: '"x"'}] => "Choose the yes/no field",
    ["line", "at", "long_text", {event: "ticked", tick: "weight", formula: '"x"'}] => "Weight is not a yes/no field.",
    ["line", "at", "long_text", {event: "changed", formula: '"x"', pattern: "QQQQQQ'"}] => "no closing"
  }.each do |(kind, key, type, parts), message|
    it "refuses a #{kind} with #{parts} on #{type}" do
      expect { table(*fields, field(key, type), rules: [rule(kind, key, **parts)]) }.to raise_error(
        Core::Invalid,
        /#{Regexp.escape(message)}/
      )
    end
  end

  it "runs a calculation that reads a stamp after it was pressed" do
    design =
      table(
        field("due", "date"),
        field("done", "yes_no"),
        field("late", "number"),
        field("finished", "date"),
        rules: [
          rule("calculation", "late", formula: "finished - due"),
          rule("stamp", "finished", event: "reached", when: "done")
        ]
      )
    expect(save(design, {"due" => "20 Nov 2026", "done" => "yes"}).values).to include("late" => 3)
  end

  it "lets people change only what their role may" do
    design = table(field("piece"), field("price", "number", access: {"clerk" => "see", "reader" => "nothing"}))
    clerk = context.dup.tap { |each| each.person = Core::Ports::Person.new(name: "Bram", role: "clerk") }
    plan = Core::Save::Plan.new(design, Core::Conventions.from({}))
    tried =
      Core::Save.call(plan, Core::Save::Draft.new(typed: {"piece" => "Mug", "price" => "5"}, stored: nil), clerk)
    expect(tried.refusals.map { |each| [each.code, each.message] }).to eq(
      [["not_allowed", "A clerk can't change Price."]]
    )
    expect(save(design, {"price" => "5"})).to be_saved
    expect { table(field("price", access: {"reader" => "edit"})) }.to raise_error(
      Core::Invalid,
      /for readers/
    )
  end
end
