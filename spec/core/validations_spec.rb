# frozen_string_literal: true

require "core_helper"

RSpec.describe "Validations" do
  # Which of some texts a rule on one field lets pass.
  def accepted(field, rule, texts) =
    texts.select { |text| save(table(field, rules: [rule]), {field["key"] => text}).saved? }

  def problem_with(*fields, rule)
    table(*fields, rules: [rule])
    nil
  rescue Core::Invalid => e
    e.message
  end

  def people(role) = Core::Ports::Person.new(name: "Senna Whitlock", role: role)

  it "keep within limits, both ends allowed, by values and by formulas" do
    expect(
      accepted(
        field("peak", "number"),
        rule("limits", "peak", low: "600", high: "1300"),
        ["599.9", "600", "1300", "1300.1", ""]
      )
    ).to eq(["600", "1300", ""])
    expect(
      accepted(
        field("due", "date"),
        rule("limits", "due", low: "today()"),
        ["22 nov 2026", "23 nov 2026", "24 nov 2026"]
      )
    ).to eq(["23 nov 2026", "24 nov 2026"])
    limits = Core::Rules.from(rule("limits", "due", low: "1/2/26")).normalized(table(field("due", "date")), reading)
    expect(limits.attributes["low"]).to eq("date(\"2026-02-01\")")
    design = table(field("peak", "number"), field("top", "number"), rules: [rule("limits", "peak", high: "top")])
    expect(
      [%w[5 5], %w[5.1 5], ["6", ""]].map { |peak, top| save(design, {"peak" => peak, "top" => top}).saved? }
    ).to eq([true, false, true])
  end

  it "refuse limits that contradict each other, and lengths too" do
    expect(problem_with(field("peak", "number"), rule("limits", "peak", low: "10", high: "5"))).to eq(
      "The minimum 10 is above the maximum 5."
    )
    expect(problem_with(field("name"), rule("length", "name", least: 5, most: 4))).to include("above the maximum")
    expect(problem_with(field("peak", "number"), rule("limits", "peak"))).to include("a minimum, a maximum")
    expect(problem_with(field("name"), rule("limits", "name", low: "1"))).to include("number, date or time")
    expect(problem_with(field("name"), rule("one_of", "name", values: ["a", "A"]))).to include("listed twice")
    expect(problem_with(field("name"), rule("fits", "name", mask: "3DIGT"))).to include("no kind of character")
  end

  it "count characters as people do" do
    expect(
      accepted(field("name"), rule("length", "name", least: 2, most: 3), ["a", "ab", "👨‍👩‍👧éx", "abcd", ""])
    ).to eq(["ab", "👨‍👩‍👧éx", ""])
  end

  it "hold a value against a list, a mask and a condition" do
    expect(accepted(field("size"), rule("one_of", "size", values: %w[S M]), ["s", "M", "L", ""])).to eq(["s", "M", ""])
    expect(accepted(field("n", "number"), rule("one_of", "n", values: %w[1 2.5]), %w[1.0 2.50 2])).to eq(%w[1.0 2.50])
    expect(accepted(field("code"), rule("fits", "code", mask: '2UPPER "-" 3DIGIT'), ["KD-017", "kd-017", ""])).to eq(
      ["KD-017", ""]
    )
  end

  it "ask for a field only while a condition is met" do
    design =
      table(field("phone"), field("key_holder", "yes_no"), rules: [rule("required", "phone", when: "key_holder")])
    found = ["yes", "no", ""].map { |answer| save(design, {"key_holder" => answer}).refusals.map(&:message) }
    expect(found).to eq([["Phone is required when Key holder is yes."], [], []])
  end

  describe "unique" do
    let(:others) do
      Core::Ports::HeldRecords.new(
        {
          "pieces" => {
            1 => {"shelf" => "KD-017", "row" => "a", "stage" => "Drying"},
            2 => {"shelf" => nil, "row" => nil, "stage" => "Collected"},
            3 => {"shelf" => "RB-1", "row" => "b", "stage" => "Collected"}
          }
        }
      )
    end

    def refused(typed, parts, stored: nil, id: nil)
      design =
        table(
          field("shelf"),
          field("row"),
          field("stage", "choice", choices: %w[Drying Collected]),
          rules: [rule("unique", "shelf", **parts)]
        )
      plan = Core::Save::Plan.new(design, Core::Conventions.from({}))
      Core::Save
        .call(plan, Core::Save::Draft.new(typed: typed, stored: stored, id: id), context(records: others))
        .refusals
        .any?
    end

    {
      [{"shelf" => "kd-017"}, {}] => true,
      [{"shelf" => "kd-017"}, {case: true}] => false,
      [{"shelf" => "KD-018"}, {}] => false,
      [{"shelf" => ""}, {}] => false,
      [{"shelf" => ""}, {blanks: "equal"}] => true,
      [{"shelf" => "", "row" => "a"}, {blanks: "equal", with: ["row"]}] => false,
      [{"shelf" => "KD-017", "row" => "b"}, {with: ["row"]}] => false,
      [{"shelf" => "KD-017", "row" => "A"}, {with: ["row"]}] => true,
      [{"shelf" => "RB-1", "stage" => "Drying"}, {when: "stage <> \"Collected\""}] => false,
      [{"shelf" => "KD-017", "stage" => "Drying"}, {when: "stage <> \"Collected\""}] => true,
      [{"shelf" => "KD-017", "stage" => "Collected"}, {when: "stage <> \"Collected\""}] => false
    }.each do |(typed, parts), wanted|
      it("#{wanted ? "refuses" : "lets pass"} #{typed} #{parts}") { expect(refused(typed, parts)).to be(wanted) }
    end

    it("does not hold a record against itself") do
      expect(refused({"row" => "c"}, {}, stored: others.find("pieces", 1), id: 1)).to be(false)
    end
  end

  it "lock fields while a condition held before the save, but for one role" do
    design =
      table(
        field("amount", "number"),
        field("status", "choice", choices: %w[Open Issued]),
        field("note"),
        rules: [rule("lock", "amount", when: "status <> \"Open\"", except_role: "builder")]
      )
    stored = {"amount" => number("5"), "status" => "Issued", "note" => nil}
    plan = Core::Save::Plan.new(design, Core::Conventions.from({}))
    found = lambda do |typed, role, before = stored|
      given = context.dup.tap { |each| each.person = people(role) }
      Core::Save.call(plan, Core::Save::Draft.new(typed: typed, stored: before, id: 1), given).refusals.map(&:field)
    end
    expect(found.call({"amount" => "6"}, "clerk")).to eq(["amount"])
    expect(found.call({"amount" => "6"}, "builder")).to eq([])
    expect(found.call({"note" => "x", "status" => "Open"}, "clerk")).to eq([])
    expect(found.call({"amount" => "6", "status" => "Open"}, "clerk")).to eq(["amount"])
    expect(found.call({"amount" => "6", "status" => "Issued"}, "clerk", stored.merge("status" => "Open"))).to eq([])
  end

  describe "a warning" do
    let(:design) do
      table(
        field("weight", "number"),
        field("note"),
        rules: [rule("limits", "weight", high: "5000", severity: "warn", saying: "\"It says \" & weight & \" g.\"")]
      )
    end

    def tried(typed, reasons: {}, stored: nil)
      plan = Core::Save::Plan.new(design, Core::Conventions.from({}))
      Core::Save.call(
        plan,
        Core::Save::Draft.new(typed: typed, stored: stored, id: stored && 1, reasons: reasons),
        context
      )
    end

    it "stands with its values until a reason is given" do
      expect(tried({"weight" => "6000"}).refusals).to match(
        [have_attributes(message: "It says 6000 g.", passable: true)]
      )
      expect(tried({"weight" => "6000"}, reasons: {"r100" => "  "})).not_to be_saved
      passed = tried({"weight" => "6000"}, reasons: {"r100" => "A commission."})
      expect([passed.saved?, passed.passed.map(&:to_h)]).to eq(
        [true, [{rule: "r100", message: "It says 6000 g.", reason: "A commission."}]]
      )
    end

    it "is not given again until one of its fields changes" do
      stored = {"weight" => number("6000"), "note" => nil}
      expect(
        [tried({"note" => "x"}, stored: stored).saved?, tried({"weight" => "6001"}, stored: stored).saved?]
      ).to eq([true, false])
    end
  end

  it "let old records be until a field of theirs changes, and never new ones" do
    design = table(field("peak", "number"), field("note"), rules: [rule("limits", "peak", high: "10", old: "let")])
    stored = {"peak" => number("11"), "note" => nil}
    expect(
      [
        save(design, {"note" => "x"}, stored: stored),
        save(design, {"peak" => "12"}, stored: stored),
        save(design, {"peak" => "11"})
      ].map(&:saved?)
    ).to eq([true, false, false])
  end

  it "follow renaming in every part of theirs" do
    design =
      project(
        field("shelf"),
        field("row"),
        field("stage"),
        rules: [
          rule("unique", "shelf", with: ["row"], when: "stage is blank"),
          rule("lock", "row", locked: ["stage"], when: "stage = \"x\"", except_role: "clerk"),
          rule("limits", "shelf_no", high: "5")
        ].first(2)
      )
    changed =
      Core::Design::Changes::ChangeField.new(table: "pieces", field: "stage", parts: {"label" => "State"}).apply(
        design
      )
    changed =
      Core::Design::Changes::ChangeField.new(table: "pieces", field: "row", parts: {"label" => "Board"}).apply(
        changed
      )
    expect(changed.table("pieces").rules.map { |each| each.attributes.slice("field", "with", "locked", "when") }).to eq(
      [
        {"field" => "shelf", "with" => ["board"], "when" => "state is blank"},
        {"field" => "board", "locked" => ["state"], "when" => "state = \"x\""}
      ]
    )
    expect(Core::Design::Dependants.rules(changed, table: "pieces", key: "state").length).to eq(2)
  end

  describe "a mask" do
    def tried(typed, stored: nil, **parts) =
      save(
        table(field("code"), field("note"), rules: [rule("mask", "code", mask: '2UPPER "-" 3DIGIT', **parts)]),
        typed,
        stored: stored
      )

    {
      [{"code" => "kd017"}, {}] => ["KD-017", []],
      [{"code" => "kd01"}, {}] => ["kd01", ["One more digit is missing."]],
      [{"code" => "kd01"}, {half: "clear"}] => [nil, []],
      [{"code" => "kdx01"}, {half: "clear"}] => ["kdx01", ["A digit is expected at position 4, not “x”."]],
      [{"code" => "kd01"}, {message: "Like KD-017."}] => ["kd01", ["Like KD-017."]],
      [{"code" => ""}, {}] => [nil, []]
    }.each do |(typed, parts), wanted|
      it("makes of #{typed} #{parts}: #{wanted}") do
        expect(tried(typed, **parts).then { |each| [each.values["code"], each.refusals.map(&:message)] }).to eq(
          wanted
        )
      end
    end

    it "refuses an old text at the next save, or lets it be until it is changed" do
      old = {"code" => "old one", "note" => nil}
      expect(
        [
          tried({"note" => "x"}, stored: old),
          tried({"note" => "x"}, stored: old, old: "let"),
          tried({"code" => "older"}, stored: old, old: "let")
        ].map(&:saved?)
      ).to eq([false, true, false])
    end

    it "comes before what is cleaned up, filled, worked out and validated" do
      design =
        table(
          field("code"),
          field("copy"),
          rules: [
            rule("mask", "code", mask: '2UPPER "-" 3DIGIT'),
            rule("calculation", "copy", formula: "lower(code)", keeping: "always"),
            rule("check", "code", formula: "code <> \"KD-017\"")
          ]
        )
      outcome = save(design, {"code" => "kd017"}, trace: true)
      expect([outcome.values["copy"], outcome.refusals.map(&:code)]).to eq(["kd-017", ["check"]])
      expect(outcome.steps.map(&:stage).uniq).to eq(%w[typed mask calculate validate])
    end

    it "is one to a field, and of use only where somebody types" do
      expect(problem_with(field("weight", "number"), rule("mask", "weight", mask: "3DIGIT"))).to include(
        "one-line text"
      )
      expect(problem_with(field("code"), rule("mask", "code", mask: "3DIGT"))).to include("no kind of character")
      expect(problem_with(field("code"), rule("mask", "code", mask: "3DIGIT", half: "guess"))).to include(
        "refused (`refuse`)"
      )
      expect {
        table(field("code"), rules: [rule("mask", "code", mask: "3DIGIT"), rule("mask", "code", mask: "2DIGIT")])
      }.to raise_error(Core::Invalid, /already has a mask/)
      expect {
        table(
          field("code"),
          rules: [
            rule("calculation", "code", formula: "\"1\"", keeping: "always"),
            rule("mask", "code", mask: "3DIGIT")
          ]
        )
      }.to raise_error(Core::Invalid, /needs no mask/)
    end
  end

  it "go field by field first, then across fields, then against other records" do
    design =
      table(
        field("code"),
        field("low", "number"),
        field("high", "number"),
        rules: [
          rule("unique", "code"),
          rule("check", "high", formula: "low < high"),
          rule("limits", "low", high: "5"),
          rule("lock", "code", when: "low = 1"),
          rule("required", "high")
        ]
      )
    steps =
      save(
        design,
        {"code" => "a", "low" => "1", "high" => "2"},
        stored: {"code" => "a", "low" => number("1"), "high" => nil},
        trace: true
      ).steps
    expect(steps.select { |step| step.stage == "validate" }.map(&:rule)).to eq(%w[r102 r104 r101 r100 r103])
  end

  it "say themselves in words that tell one from another" do
    design =
      table(
        field("code"),
        field("hold", "number"),
        field("stage", "choice", choices: %w[Drying Fired]),
        rules: [
          rule("limits", "hold", low: "0"),
          rule("limits", "hold", low: "0", high: "90"),
          rule("length", "code", least: 3, most: 3),
          rule("length", "code", most: 9),
          rule("one_of", "hold", values: %w[1 2 3 4 5 6 7]),
          rule("fits", "code", mask: "3DIGIT"),
          rule("unique", "code", with: ["hold"], when: "stage = \"Drying\""),
          rule("lock", "code", when: "stage = \"Fired\"", except_role: "builder"),
          rule("required", "code", when: "hold > 5")
        ]
      )
    expect(design.rules.map { |each| each.sentence(design) }).to eq(
      [
        "Hold must be 0 or more.",
        "Hold must be between 0 and 90.",
        "Code must have 3 characters.",
        "Code must have up to 9 characters.",
        "Hold must be one of 1, 2, 3, 4, 5, 6, ….",
        "Code must be written as three digits.",
        "Code and Hold together must be unique when Stage = “Drying”.",
        "Code can't be changed when Stage = “Fired”, except by a builder.",
        "Code is required when Hold > 5."
      ]
    )
    expect(design.rules.map { |each| each.tack(design) }).to all(
      be_a(String).and(satisfy { |text| text.length.between?(3, 60) })
    )
  end

  it "suit a field by its type, and by whether anybody types in it" do
    design =
      table(
        field("name"),
        field("hold", "number"),
        field("stage", "choice", choices: %w[A]),
        field("sum", "number"),
        rules: [rule("calculation", "sum", formula: "hold + 1", keeping: "shown")]
      )
    suiting =
      design.fields.to_h { |each| [each.key, Core::Rules.all.select { |_, kind| kind.suits?(each, design) }.keys] }
    expect(suiting["name"]).to include("mask", "tidy", "copy", "length", "fits").and exclude_all("narrow", "limits")
    expect(suiting["hold"]).to include("limits", "one_of", "copy").and exclude_all("mask", "tidy", "length")
    expect(suiting["stage"]).to include("narrow").and exclude_all("limits", "mask", "one_of")
    expect(suiting["sum"]).to include("limits", "calculation").and exclude_all("default", "copy", "lock", "unique")
  end

  def exclude_all(*kinds) = satisfy("leave out #{kinds.join(", ")}") { |all| (all & kinds).empty? }
end
