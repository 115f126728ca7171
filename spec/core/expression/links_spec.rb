# frozen_string_literal: true

require "core_helper"

RSpec.describe "Expressions along links and over linked records" do
  {
    ["pieces", 1, "maker.name"] => "Ansa Velt",
    ["pieces", 1, "maker.title.text & \" \" & maker.name"] => "Dr Ansa Velt",
    ["pieces", 1, "helper.title.text"] => nil,
    ["pieces", 9, "maker.name"] => nil,
    ["pieces", 9, "\"by \" & maker.name"] => "by ",
    ["pieces", 1, "maker is blank"] => false,
    ["pieces", 9, "maker is blank"] => true,
    ["pieces", 3, "maker = helper"] => true,
    ["pieces", 1, "maker = helper"] => false,
    ["pieces", 1, "maker.joined + 1"] => "2024-03-01",
    ["pieces", 1, "maker.id"] => "4",
    ["pieces", 9, "maker.id"] => nil,
    ["pieces", 1, "maker.name starts with \"ansa\""] => true,
    ["members", 4, "count(pieces.maker)"] => "3",
    ["members", 4, "count(pieces.helper)"] => "1",
    ["members", 5, "count(pieces.maker)"] => "0",
    ["members", 4, "count(pieces.maker where stage = \"collected\")"] => "2",
    ["members", 4, "sum(pieces.maker.weight)"] => "640.6",
    ["members", 5, "sum(pieces.maker.weight)"] => "0",
    ["members", 4, "average(pieces.maker.weight)"] => "320.3",
    ["members", 5, "average(pieces.maker.weight)"] => nil,
    ["members", 4, "min(pieces.maker.weight)"] => "0.1",
    ["members", 4, "max(pieces.maker.weight where weight < 500)"] => "0.1",
    ["members", 5, "max(pieces.maker.weight)"] => nil,
    ["members", 4, "join(pieces.maker.tag, \"; \")"] => "PC-1; PC-2",
    ["members", 4, "join(pieces.maker.tag where stage = \"Drying\")"] => "PC-1",
    ["members", 4, "join(pieces.maker.tag, \", \" where weight is blank)"] => "PC-2",
    ["members", 5, "join(pieces.maker.tag)"] => nil,
    ["members", 4, "count(pieces.maker where helper.name = this.name)"] => "1",
    ["members", 4, "count(pieces.maker where helper.id <> maker.id or helper is blank)"] => "2",
    ["titles", 1, "count(members where joined >= date(\"2024-02-29\"))"] => "1",
    ["titles", 1, "max(members.name where count(pieces.maker) > 2)"] => "Ansa Velt",
    ["pieces", 1, "count(maker.pieces.maker where tag <> this.tag)"] => "1",
    ["pieces", 9, "count(maker.pieces.maker)"] => "0",
    ["pieces", 1, "sum(maker.pieces.maker.weight) - weight"] => "0.1"
  }.each do |(table, id, text), value|
    it("#{table} #{id}: #{text} is #{value.inspect}") { expect(seen_from(table, id, text)).to eq(value) }
  end

  {
    ["pieces", "\"by \" & maker"] => [
      "`maker` is a link to Members; choose one of its fields, such as `maker.name`.",
      "maker"
    ],
    ["pieces", "maker = \"Ansa Velt\""] => [
      "`maker` is a link to Members; choose one of its fields, such as `maker.name`.",
      "maker"
    ],
    ["pieces", "maker + 1"] => [
      "`maker` is a link to Members; choose one of its fields, such as `maker.name`.",
      "maker"
    ],
    ["pieces", "maker.title & \"\""] => [
      "`maker.title` is a link to Titles; choose one of its fields, such as `maker.title.text`.",
      "maker.title"
    ],
    %w[pieces upper(maker)] => [
      "`maker` is a link to Members; choose one of its fields, such as `maker.name`.",
      "maker"
    ],
    %w[pieces maker.nmae] => ["There is no field `nmae` in Members; did you mean `name`?", "nmae"],
    %w[pieces name] => ["There is no field `name`; Members has one: `maker.name`.", "name"],
    %w[pieces tag.name] => ["`tag` is a text, not a link, so it has no fields.", "tag"],
    %w[pieces maker.] => ["A field's key is expected after the dot.", "."],
    ["pieces", "maker = maker.title"] => [
      "A link to Members can't be compared with a link to Titles.",
      "maker = maker.title"
    ],
    %w[members pieces] => ["`pieces` is many records; combine them into one value, as in `count(pieces)`.", "pieces"],
    %w[members count(pieces)] => [
      "Pieces link here through 2 fields; choose one: `pieces.maker` or `pieces.helper`.",
      "pieces"
    ],
    %w[members count(piece)] => ["No table `piece` links to Members; did you mean `pieces`?", "piece"],
    %w[members count(name)] => [
      "Name is one value of this record. This function needs linked records, such as `pieces`.",
      "name"
    ],
    %w[members sum(pieces.maker.tag)] => ["`sum` takes a number, but this is a text.", "tag"],
    %w[members sum(pieces.maker)] => [
      "Name the field of Pieces to use, as in `sum(pieces.maker.weight)`.",
      "sum(pieces.maker)"
    ],
    %w[members count(pieces.maker.tag)] => [
      "`count` counts records, not values. Add a condition: `count(pieces where tag is " \
        "not blank)`.",
      "tag"
    ],
    ["members", "count(pieces.maker where weight)"] => [
      "`where` needs a yes/no condition, but this is a number.",
      "weight"
    ],
    ["members", "join(pieces.maker.tag, 1)"] => ["The separator must be text, but this is a number.", "1"],
    ["members", "count(pieces.maker where name = \"x\")"] => [
      "There is no field `name` in Pieces; Members has one: `maker.name`.",
      "name"
    ],
    %w[members this.name] => ["`this.` means the outer record; here, write `name` alone.", "this.name"],
    %w[members sum(1)] => [
      "`sum` needs linked records, as in `sum(orders.amount where status = \"Open\")`.",
      "sum(1)"
    ],
    %w[members counter(5)] => ["`counter(…)` can only be used in an auto-number.", "counter(5)"],
    ["pieces", "tag fits \"3DIGT\""] => [
      "There is no kind of character `DIGT`. Kinds: DIGIT, ALPHA, UPPER, LOWER, ALNUM, ANY.",
      "3DIGT"
    ],
    ["pieces", "tag fits tag"] => [
      "`fits` needs a mask in quotes, as in `fits \"2UPPER \"\"-\"\" 3DIGIT\"`.",
      "tag"
    ],
    %w[pieces changed(maker.name)] => ["`changed` takes one field of this record, as in `changed(stage)`.", "."]
  }.each do |(table, text), mistake|
    it("#{table}: #{text} is told as #{mistake.first}") { expect(mistake_in(table, text)).to eq(mistake) }
  end

  it "warns of a choice that a linked record's field does not have" do
    formula = Core::Expression.compile("count(pieces.maker where stage = \"Colected\")", studio.table("members").scope)
    expect(formula.warnings.map(&:message)).to eq(["Stage has no choice “Colected”; did you mean “Collected”?"])
  end

  it "compares with what was stored, on new records too" do
    old = {"tag" => "PC-1", "maker" => 5, "stage" => "Drying"}
    expect(
      seen_from("pieces", 1, "changed(maker) and not changed(stage) and old.maker.name = \"Maro Tinsley\"", old: old)
    ).to be(true)
    design = table(field("stage"), rules: [rule("check", "stage", formula: "not changed(stage) or is_new")])
    expect(
      [save(design, {"stage" => "x"}), save(design, {"stage" => "x"}, stored: {"stage" => "y"})].map(&:saved?)
    ).to eq([true, false])
  end

  it "says in words where a value comes from, and which records counted" do
    design =
      studio(
        "members" => [rule("calculation", "total", formula: "sum(pieces.maker.weight where stage = \"Drying\")")],
        "pieces" => [rule("calculation", "whose", formula: "tag & maker.title.text")]
      )
    expect(design.tables.flat_map { |table| table.rules.map { |each| each.words(table) } }).to eq(
      ["sum of Weight of Pieces made of this member where Stage = “Drying”", "Tag & Text of Title of Maker"]
    )
    formula = design.table("members").rules.first.formula(design.table("members"))
    evaluation =
      Core::Expression::Evaluation.new(
        values: CoreHelp::STUDIO_RECORDS["members"][4],
        context: context(records: studio_records),
        is_new: false,
        id: 4
      )
    expect(formula.with_values(evaluation)).to eq("sum of Weight of Pieces made of this member = 640.5 (PC-1)")
  end
end
