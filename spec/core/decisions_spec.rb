# frozen_string_literal: true

require "core_helper"

RSpec.describe "Decision tables" do
  let(:fields) do
    [
      field("firing", "choice", choices: %w[Bisque Glaze Lustre Raku]),
      field("size", "number", decimals: 0),
      field("due", "date"),
      field("fragile", "yes_no"),
      field("note"),
      field("peak", "number"),
      field("kiln", "choice", choices: %w[Big Small])
    ]
  end

  def design(rows, inputs: %w[firing], outputs: %w[peak], more: [], **parts)
    table(
      *fields,
      rules: [
        rule("decision", outputs.first, name: "Programme", inputs: inputs, outputs: outputs, rows: rows, **parts),
        *more
      ]
    )
  end

  def mistakes(...)
    design(...)
    []
  rescue Core::Invalid => e
    e.problems.map { |each| [each.part, each.message] }
  end

  # Where a blank may be, that is a case of its own.
  def review(rows, more: [], **parts)
    filled = %w[firing size due fragile note].map { |key| rule("required", key) }
    design(rows, more: [*more, *filled], **parts).then do |made|
      Core::Decisions::CompletenessCheck.new(made.rules.first, made).report
    end
  end

  # What a cell of each type lets pass, and what it does not.
  {
    %w[firing Glaze] => [%w[Glaze], %w[Raku]],
    ["firing", "glaze; RAKU"] => [%w[Glaze Raku], %w[Bisque]],
    ["firing", "<> Raku"] => [%w[Bisque], %w[Raku]],
    ["firing", ""] => [["Glaze", ""], []],
    %w[firing blank] => [[""], %w[Glaze]],
    ["firing", "blank; Glaze"] => [["", "Glaze"], %w[Raku]],
    %w[size 900..1100] => [%w[900 1000 1100], %w[899 1101]],
    %w[size 900..<1100] => [%w[900 1099], %w[1100]],
    ["size", "> 1000"] => [%w[1001], ["1000", ""]],
    ["size", "<= 3; 7"] => [%w[-5 3 7], %w[4 6]],
    %w[size 1,000] => [%w[1000], %w[1]],
    ["size", "<> 5"] => [%w[4], ["5", ""]],
    ["due", "23 nov 2026"] => [%w[2026-11-23], %w[2026-11-24]],
    ["due", "1 nov 2026..<1 dec 2026"] => [%w[2026-11-30], %w[2026-12-01]],
    ["due", ">= 2026-11-23"] => [%w[2026-11-23], %w[2026-11-22]],
    %w[fragile yes] => [[true], [false, ""]],
    ["note", '"a; b"'] => [["A; b"], %w[a]],
    ["note", "one; two"] => [%w[one TWO], %w[three]],
    ["note", '"> 5"'] => [["> 5"], %w[6]],
    ["size * 2", "> 10"] => [%w[6], %w[5]],
    ["left(note, 1)", "K"] => [%w[kiln], %w[pot]]
  }.each do |(input, cell), (fitting, others)|
    it "let a cell “#{cell}” of #{input} pass #{fitting} and not #{others}" do
      made = design([[cell, "7"]], inputs: [input])
      key = made.rules.first.reads(made).first
      other = (made.fields.find { |each| each.key != key && each.key == "note" }) ? "note" : "size"
      results =
        (fitting + others).map do |value|
          save(made, {key => value, other => (other == "note") ? "x" : "1"}.merge(key => value)).values["peak"]
        end
      # A value that is blank moves nothing unless it was filled before.
      expect(results.each_with_index.map { |each, index| ((fitting + others)[index] == "") ? :blank : each }).to eq(
        fitting.map { |each| (each == "") ? :blank : 7 } + others.map { |each| (each == "") ? :blank : nil }
      )
    end
  end

  it "take the first row that fits, set all outputs at once and clear what its cell leaves empty" do
    made =
      design(
        [["Glaze", "> 500", "1222", "Big"], ["Glaze", "", "1240", ""], ["", "", "", "Small"]],
        inputs: %w[firing size],
        outputs: %w[peak kiln]
      )
    expect(
      [%w[Glaze 501], %w[Glaze 500], ["Glaze", ""], ["Raku", ""]].map do |firing, size|
        save(made, {"firing" => firing, "size" => size}).values.values_at("peak", "kiln")
      end
    ).to eq([[1222, "Big"], [1240, nil], [1240, nil], [nil, "Small"]])
    outcome =
      save(
        made,
        {"firing" => "Bisque"},
        stored: {"firing" => "Glaze", "peak" => number("9"), "kiln" => "Big"},
        trace: true
      )
    expect(outcome.values.values_at("peak", "kiln")).to eq([nil, "Small"])
    expect(outcome.steps.find { |step| step.key == "kiln" }.how).to eq("“Bisque”, blank → row 3 of Programme")
    expect(outcome.origins["kiln"]).to have_attributes(source: "rule", words: "row 3 of Programme")
  end

  it "leave or clear the outputs where no row fits" do
    rows = [["Glaze", "1222"]]
    stored = {"firing" => "Glaze", "peak" => number("1222")}
    expect(save(design(rows), {"firing" => "Raku"}, stored: stored).values["peak"]).to eq(1222)
    expect(save(design(rows, otherwise: "clear"), {"firing" => "Raku"}, stored: stored).values["peak"]).to be_nil
  end

  {
    [%w[Glase 7]] => [
      ["rows.0.0", "“Glase” is not one of the choices: Bisque, Glaze, Lustre, Raku; did you mean Glaze?"]
    ],
    [["> Glaze", "7"], %w[Raku hot]] => [
      ["rows.0.0", "“>” compares numbers, dates and times; Firing is a text."],
      ["rows.1.1", "“hot” is not a number."]
    ],
    [%w[Glaze 7 8]] => [["rows.0.0", "Row 1 has 3 cells, but there are 2 columns."]],
    [["Glaze;; Raku", "7"]] => [["rows.0.0", "A value is missing next to a semicolon."]],
    [] => [["rows", "Add at least one row."]]
  }.each do |rows, expected|
    it "name every cell of #{rows} that can't be read, with its place" do
      expect(mistakes(rows)).to eq(expected)
    end
  end

  it "refuse a range that ends before it begins, a link that is compared, and a field set twice" do
    expect(mistakes([%w[9..3 1]], inputs: ["size"])).to eq(
      [["rows.0.0", "The end of this range is lower than its start."]]
    )
    expect(mistakes([%w[1 1]], inputs: ["sice"]).first.last).to include(
      "There is no field `sice`; did you mean `size`?"
    )
    expect(mistakes([%w[1 1 2]], inputs: ["size"], outputs: %w[peak peak])).to eq(
      [["outputs", "Peak is set twice in this rule."]]
    )
    expect(mistakes([%w[1 1]], inputs: ["peak"])).to eq(
      [
        [
          "formula",
          "Circular reference in Peak: the formula uses the field it sets. " \
            "If you mean the value before this save, write `old.peak`."
        ]
      ]
    )
  end

  it "find what no row covers, by the limits and values of the cells" do
    expect(review([["< 900", "1"], ["> 900", "2"]], inputs: ["size"]).gaps.map(&:to_a)).to eq([[["900"], [900]]])
    expect(
      review(
        [["Glaze; Lustre", "< 900", "1"], ["Bisque", "", "2"], ["Glaze", ">= 901", "3"]],
        inputs: %w[firing size]
      ).gaps.map(&:words)
    ).to contain_exactly(["Raku", nil], %w[Glaze 900], ["Lustre", "from 900"])
    expect(review([["", "yes", "1"], ["Glaze", "", "2"]], inputs: %w[firing fragile]).gaps.map(&:words)).to eq(
      [["Bisque, Lustre or Raku", "No"]]
    )
  end

  it "find no gap where there is none: whole numbers follow each other, limits end the range" do
    expect(review([["<= 900", "1"], [">= 901", "2"]], inputs: ["size"]).gaps).to eq([])
    expect(
      review([%w[0..900 1]], inputs: ["size"], more: [rule("limits", "size", low: "0", high: "900")]).gaps
    ).to eq([])
    expect(review([%w[a 1], ["", "2"]], inputs: ["note"]).gaps).to eq([])
  end

  it "find rows that never decide, and rows that contradict each other in part" do
    report =
      review(
        [
          ["Glaze", "", "1"],
          ["Glaze", "> 5", "2"],
          ["Raku", "> 5", "3"],
          ["", "> 9", "4"],
          ["Bisque; Raku", "< 7", "5"]
        ],
        inputs: %w[firing size]
      )
    expect(report.unreached).to eq([[1, "row 1 always matches first"]])
    expect(report.contradictions.map { |first, other, example| [first, other, example.words] }).to include(
      [2, 4, %w[Raku 6]]
    )
    expect(report.contradictions.map { |each| each.first(2) }).not_to include([0, 1])
  end

  it "agree with trying every combination, for made-up tables" do
    random = Random.new(RSpec.configuration.seed)
    40.times do
      cells = [["", "Glaze", "Raku; Bisque", "<> Lustre"], ["", "3", "> 4", "<= 2", "2..5"], ["", "yes", "no"]]
      rows = Array.new(random.rand(1..6)) { |index| [*cells.map { |some| some.sample(random: random) }, index.to_s] }
      made = design(rows, inputs: %w[firing size fragile])
      compiled = made.rules.first.compile(made)
      all = %w[Bisque Glaze Lustre Raku].product((0..7).map { |each| BigDecimal(each) }, [true, false])
      report = review(rows, inputs: %w[firing size fragile])
      decided = all.map { |values| compiled.row_for(values) }
      expect([rows, report.gaps.any?, report.unreached.map(&:first)]).to eq(
        [rows, decided.include?(nil), rows.each_index.to_a - decided.compact]
      )
      expect(report.gaps.map { |gap| compiled.row_for(gap.values) }.uniq - [nil]).to eq([])
    end
  end

  it "say so when they stop short" do
    made = design([["Glaze", "> 5", "1"], ["Raku", "< 3", "2"]], inputs: %w[firing size])
    expect(Core::Decisions::CompletenessCheck.new(made.rules.first, made, most_steps: 2).report).to have_attributes(
      stopped: true,
      unreached: []
    )
  end

  it "are pasted with their heads matched to fields, and written out again" do
    made = design([["Glaze; Raku", "900..1100", "1222"]], inputs: %w[firing size])
    parsed = Core::Decisions::TableText.read("Firing\tPeak\tColour\r\nGlaze\t1222\tgreen\r\nRaku\t1000\r\n", made)
    expect(parsed.columns.map(&:to_a)).to eq([["Firing", "firing", nil], ["Peak", "peak", nil], ["Colour", nil, nil]])
    expect(parsed.rows).to eq([%w[Glaze 1222 green], ["Raku", "1000", ""]])
    expect(parsed.notes).to eq(
      [
        "Row 2 was shorter than the others; the missing cells are empty.",
        "There is no field named “Colour”. Choose one for the column."
      ]
    )
    written = Core::Decisions::TableText.write(made.rules.first, made)
    expect(written).to eq("Firing,Size,→ Peak\r\nGlaze; Raku,900..1100,1222\r\n")
    again = Core::Decisions::TableText.read(written, made)
    expect([again.columns.map(&:output), again.rows]).to eq([[nil, nil, true], made.rules.first.rows])
    expect(Core::Decisions::TableText.read("Glaze,7\nRaku,8", made).columns.map(&:head)).to eq([nil, nil])
    expect { Core::Decisions::TableText.read(" \n", made) }.to raise_error(Core::Decisions::TableText::Invalid)
  end
end
