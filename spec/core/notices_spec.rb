# frozen_string_literal: true

require "core_helper"

RSpec.describe "What a builder should know of the rules of a table" do
  let(:fields) do
    [
      field("absorption", "number"),
      field("limit", "number"),
      field("verdict", "choice", choices: %w[Dense Porous]),
      field("firing", "choice", choices: %w[Bisque Glaze Raku]),
      field("note"),
      field("day", "date"),
      field("fragile", "yes_no"),
      field("share", "number")
    ]
  end

  def made(*rules, forms: [])
    attributes = project_attributes(*fields, rules: rules)
    attributes["tables"].first["forms"] = forms
    Core::Design::Project.from(attributes).tables.first
  end

  def notices(...) = made(...).notices.all.map { |notice| [notice.code, notice.message] }

  def verdict(to, condition, **more) =
    rule(
      "fill",
      "verdict",
      watch: %w[absorption limit firing],
      when: condition,
      sets: [{"field" => "verdict", "to" => "\"#{to}\""}],
      name: "#{to} it is",
      **more
    )

  # Groups of conditions, and what is told of them.
  {
    ["absorption < limit", "absorption > limit"] => [["gap", "No rule sets Verdict where Absorption equals Limit."]],
    ["absorption < limit", "absorption >= limit"] => [],
    ["absorption <= limit", "absorption >= limit"] => [
      ["overlap", "Two rules set Verdict, and “Porous it is” has the last word where Absorption equals Limit."]
    ],
    ["absorption < 3", "absorption > 3"] => [["gap", "No rule sets Verdict where Absorption is 3."]],
    ["absorption < 3", "absorption >= 5"] => [["gap", "No rule sets Verdict where Absorption is 3."]],
    ["absorption between 0 and 3", "absorption > 3"] => [["gap", "No rule sets Verdict where Absorption is below 0."]],
    ["firing = \"Bisque\"", "firing in (\"Glaze\", \"Raku\")"] => [],
    ["firing = \"Bisque\"", "firing = \"Glaze\""] => [["gap", "No rule sets Verdict where Firing is “Raku”."]],
    ["firing <> \"Raku\" and absorption < 3", "firing = \"Raku\" or absorption >= 3"] => [],
    ["fragile", "not fragile"] => [],
    ["fragile", "fragile and absorption > 3"] => [
      ["gap", "No rule sets Verdict where Fragile is No."],
      [
        "overlap",
        "Two rules set Verdict, and “Porous it is” has the last word where Fragile is Yes and " \
          "Absorption is above 3."
      ]
    ],
    ["note starts with \"K\"", "not note starts with \"K\""] => [],
    ["day < date(\"2026-11-23\")", "day > date(\"2026-11-23\")"] => [
      ["gap", "No rule sets Verdict where Day is 23 Nov 2026."]
    ],
    ["absorption < limit / 2", "absorption > limit / 2"] => [
      ["gap", "No rule sets Verdict where Absorption equals Limit ÷ 2."]
    ],
    ["absorption is blank", "absorption is not blank"] => []
  }.each do |(dense, porous), expected|
    it "of #{dense} beside #{porous}" do
      # Where a blank may be, that is a case of its own.
      filled =
        if dense.include?("blank")
          []
        else
          %w[absorption limit firing note day fragile].map { |key| rule("required", key) }
        end
      found = notices(*filled, verdict("Dense", dense), verdict("Porous", porous))
      expect(found.first(expected.length)).to eq(expected)
      expect(found.drop(expected.length)).to be_empty
    end
  end

  it "passes over a lone rule, and one that always speaks" do
    expect(notices(verdict("Dense", "absorption < 3"))).to eq([])
    expect(
      notices(
        verdict("Dense", "absorption < 3"),
        rule(
          "fill",
          "verdict",
          watch: ["absorption"],
          sets: [{"field" => "verdict", "to" => "blank", "else" => nil}]
        )
      ).map(&:first)
    ).to include("overlap")
  end

  it "looks no further than a field's own limits" do
    limits = rule("limits", "absorption", low: "0", high: "100")
    expect(
      notices(
        limits,
        verdict("Dense", "absorption between 0 and 3"),
        verdict("Porous", "absorption between 3.1 and 100")
      ).map(&:last)
    ).to eq(["No rule sets Verdict where Absorption is between 3 and 3.1."])
    expect(notices(limits, verdict("Dense", "absorption > 100"))).to eq(
      [["never", "The condition Absorption > 100 can never be true, so this rule never runs."]]
    )
  end

  it "finds the branch that a formula forgot" do
    formula = 'if absorption < limit then "Dense" else if absorption > limit then "Porous" else blank'
    expect(notices(rule("calculation", "verdict", formula: formula))).to eq(
      [["gap", "Verdict is blank where Absorption equals Limit."]]
    )
    expect(notices(rule("calculation", "verdict", formula: formula.sub("> limit", ">= limit")))).to eq(
      [["gap", "Verdict is blank where Limit is blank."]]
    )
    expect(
      notices(
        *%w[absorption limit].map { |key| rule("required", key) },
        rule("calculation", "verdict", formula: formula.sub("> limit", ">= limit"))
      )
    ).to eq([])
  end

  it "names conditions that can never hold, and claims nothing of what it can't know" do
    expect(notices(rule("required", "note", when: "absorption > 5 and absorption < 3")).map(&:first)).to eq(["never"])
    expect(notices(rule("required", "note", when: "len(note) > 5 and len(note) < 3")).map(&:first)).to eq(["never"])
    expect(notices(rule("required", "note", when: "absorption > 5 and limit < 3"))).to eq([])
  end

  it "names two rules that write one field, in their order" do
    expect(
      notices(
        rule("fill", "share", name: "First", sets: [{"field" => "share", "to" => "limit"}]),
        rule("decision", "share", name: "Second", inputs: ["firing"], outputs: ["share"], rows: [["", "1"]])
      )
    ).to eq([["two_writers", "“First” and “Second” all set Share. They run in this order; the last one wins."]])
  end

  it "names a rule that sets what another clears" do
    expect(
      notices(
        rule("fill", "note", name: "Set it", sets: [{"field" => "note", "to" => "limit & \"\""}]),
        rule("state", "note", state: "enabled", when: "absorption > 3", otherwise: "clear")
      ).map(&:first)
    ).to eq(["two_writers"])
  end

  it "names gaps, rows that never decide and contradictions of a decision table" do
    filled = %w[firing absorption].map { |key| rule("required", key) }
    found =
      notices(
        *filled,
        rule(
          "decision",
          "share",
          name: "Shares",
          inputs: %w[firing absorption],
          outputs: ["share"],
          rows: [["Glaze", "", "1"], %w[Glaze 5 2], ["Raku", "> 3", "3"], ["", "> 9", "4"]]
        )
      )
    expect(found).to include(
      ["unreached", "Row 2 of Shares is never used: row 1 always matches first."],
      [
        "contradiction",
        "Rows 1 and 4 of Shares conflict where Firing is Glaze and Absorption is " \
          "above 9; the upper row is used."
      ]
    )
    expect(found.first).to eq(["gap", "No row of Shares matches when Firing is Bisque and Absorption is up to 9."])
  end

  it "names a rule that reads what no form has and nothing fills" do
    form = {
      "id" => "m1",
      "name" => "Desk",
      "sections" => [{"items" => [{"field" => "absorption"}, {"field" => "firing"}]}]
    }
    rules = [
      verdict("Dense", "absorption < 3"),
      rule("fill", "note", sets: [{"field" => "note", "to" => "limit & \"\""}])
    ]
    expect(notices(*rules, forms: [form])).to eq(
      [
        ["unfed", "“Limit & “”” uses Limit, but no form shows it and no rule sets it."],
        ["unfed", "“Dense it is” uses Limit, but no form shows it and no rule sets it."]
      ].reverse
    )
    expect(notices(*rules)).to eq([])
  end

  it "gives an example to try with each gap" do
    gap =
      made(
        verdict("Dense", "absorption < limit and firing = \"Glaze\""),
        verdict("Porous", "absorption > limit or firing <> \"Glaze\"")
      ).notices.all.first
    expect(gap.examples.first.to_h).to include(words: ["Absorption equals Limit", "Firing is “Glaze”"])
    values = gap.examples.first.values
    expect([values["absorption"] == values["limit"], values["firing"]]).to eq([true, "Glaze"])
  end
end
