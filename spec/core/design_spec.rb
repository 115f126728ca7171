# frozen_string_literal: true

require "core_helper"
require "json"

RSpec.describe "The design and its changes" do
  changes = Core::Design::Changes

  let(:start) do
    project(
      field("clay", "number"),
      field("tare", "number"),
      field("wet", "number"),
      field("received", "date"),
      field("stage", "choice", choices: %w[Drying Glazed]),
      rules: [
        rule("default", "tare", value: "55"),
        rule("check", "wet", formula: "clay + tare = wet"),
        rule("default", "stage", value: "Drying")
      ]
    )
  end

  def messages
    yield
    []
  rescue Core::Invalid => e
    e.problems.map(&:message)
  end

  def pin(project, attributes) =
    Core::Design::Changes::PinRule.new(table: "pieces", rule: attributes.transform_keys(&:to_s)).apply(project)

  describe "keys" do
    it "are made from labels, free and never a word of the language or the store" do
      {
        "Wet weight g" => "wet_weight_g",
        "Größe (cm)" => "grosse_cm",
        "Øvre Łód" => "ovre_lod",
        "名前" => "field",
        "2nd try" => "n_2nd_try",
        "If" => "field_if",
        "ID" => "field_id",
        "Order" => "order",
        "select * from" => "select_from",
        "“Quoted”; --" => "quoted",
        "taken" => "taken_2",
        "x" * 90 => "x" * 44
      }.each { |label, key| expect(Core::Design::Names.key_for(label, taken: ["taken"])).to eq(key) }
    end

    it "are refused when they are given in another shape" do
      ["a\"b", "Wet", "1st", "a__b", "a-b", "", nil, "old", "id", "x" * 51].each do |key|
        expect(Core::Design::Names.key_problem(key)).to be_a(String), key.inspect
      end
      expect(Core::Design::Names.key_problem("order")).to be_nil
    end
  end

  it "goes to plain data and back without loss" do
    expect(Core::Design::Project.from(JSON.parse(JSON.generate(start.attributes))).attributes).to eq(start.attributes)
  end

  it "adds, moves and removes fields, with the rules that name them" do
    change = changes::AddField.new(table: "pieces", parts: {"label" => " Shelf code ", "type" => "text"}, position: 1)
    added = change.apply(start)
    expect(added.tables.first.fields.map(&:key)).to eq(%w[clay shelf_code tare wet received stage])
    expect(change.summary).to eq("Field Shelf code added to Pieces")
    moved = changes::MoveField.new(table: "pieces", field: "shelf_code", position: 99).apply(added)
    expect(moved.tables.first.fields.last.key).to eq("shelf_code")
    removed = changes::RemoveField.new(table: "pieces", field: "tare").apply(moved)
    expect(removed.tables.first.rules.map(&:kind)).to eq(%w[default])
    expect(start.tables.first.fields.length).to eq(5)
  end

  it "carries formulas with a renamed field" do
    renamed =
      changes::ChangeField
        .new(table: "pieces", field: "tare", parts: {"label" => "Bat weight"})
        .apply(start)
        .tables
        .first
    expect(renamed.fields[1].to_h).to include(id: "f_tare", key: "bat_weight", label: "Bat weight")
    expect(renamed.rules.map { |rule| rule.attributes.values_at("field", "formula") }).to eq(
      [["bat_weight", nil], ["wet", "clay + bat_weight = wet"], ["stage", nil]]
    )
  end

  it "refuses a change that would leave a rule without sense, and names the rule" do
    changes::ChangeField.new(table: "pieces", field: "wet", parts: {"type" => "date"}).apply(start)
  rescue Core::Invalid => e
    expect(e.problems.map { |problem| [problem.message, problem.rule] }).to eq(
      [["A rule on Wet of Pieces would no longer work: A number can't be compared with a date.", "r101"]]
    )
  end

  it "says what is wrong with names, types, choices and decimals" do
    add = ->(parts) do
      messages { changes::AddField.new(table: "pieces", parts: {"type" => "text"}.merge(parts)).apply(start) }
    end
    expect(add.call("label" => "")).to eq(["Enter a name."])
    expect(add.call("label" => nil)).to eq(["Enter a name."])
    expect(add.call("label" => "x" * 61)).to eq(["A name can have up to 60 characters."])
    expect(add.call("label" => "a\u0000")).to eq(["A name can't contain line breaks or other control characters."])
    expect(add.call("label" => "TARE")).to eq(["There is already a field “Tare”."])
    expect(add.call("label" => "X", "type" => "blob")).to eq(["There is no field type “blob”."])
    expect(add.call("label" => "X", "type" => "choice", "choices" => [])).to eq(["X needs at least one choice."])
    expect(add.call("label" => "X", "type" => "choice", "choices" => %w[a A])).to eq(
      ["“a” is listed twice."]
    )
    expect(add.call("label" => "X", "type" => "choice", "choices" => [5])).to eq(
      ["Each choice must be a text of up to 60 characters, without spaces at its ends."]
    )
    expect(add.call("label" => "X", "type" => "number", "decimals" => 99)).to eq(
      ["A number field can have 0 to 10 decimals."]
    )
  end

  it "makes, renames and removes tables" do
    change = changes::AddTable.new(label: "Firings", one: "Firing")
    added = change.apply(start)
    expect(added.table("firings").attributes).to include("label" => "Firings", "one" => "Firing", "rules" => [])
    renamed =
      changes::ChangeTable.new(table: "firings", parts: {"label" => "Kiln loads", "note" => "One a week"}).apply(
        added
      )
    expect(renamed.table("kiln_loads").attributes).to include("label" => "Kiln loads", "note" => "One a week")
    expect(changes::RemoveTable.new(table: "kiln_loads").apply(renamed).tables.map(&:key)).to eq(%w[pieces])
    expect(messages { changes::AddTable.new(label: "Pieces").apply(start) }).to eq(
      ["There is already a table “Pieces”."]
    )
    expect(messages { changes::AddTable.new(label: "X", key: "up_tack_people").apply(start) }.first).to include(
      "Choose another key"
    )
  end

  describe "rules" do
    it "are pinned, changed and taken off" do
      pinned = pin(start, kind: "required", field: "clay", junk: 1)
      expect(pinned.tables.first.rules.last.attributes).to eq("id" => "r201", "kind" => "required", "field" => "clay")
      changed = pin(pinned, id: "r201", kind: "required", field: "clay", message: "Weigh it.")
      expect(changed.tables.first.rule("r201").message(changed.tables.first)).to eq("Weigh it.")
      expect(changes::UnpinRule.new(table: "pieces", rule: "r201").apply(changed).attributes["tables"]).to eq(
        start.attributes["tables"]
      )
    end

    it "are refused with what is wrong" do
      {
        {kind: "check", field: "wet", formula: "clay + tare"} =>
          "This must be yes or no; it gives a number.",
        {kind: "check", field: "wet", formula: ""} => "The formula is empty.",
        {kind: "check", field: "wet"} => "The formula is empty.",
        {kind: "check", field: "lost", formula: "yes"} => "There is no field `lost` in Pieces.",
        {kind: "default", field: "received", formula: "clay"} => "This must give a date; it gives a number.",
        {kind: "default", field: "received", value: "31 Feb"} => /no 31 February|is not a date/,
        {kind: "default", field: "clay"} => "Enter a default value.",
        {kind: "default", field: "tare", value: "50"} => "Tare already has a default. Change that rule.",
        {kind: "guess", field: "tare"} => "There is no rule kind “guess”.",
        {id: "r999", kind: "required", field: "tare"} =>
          "There is no rule `r999` in Pieces; it may have been deleted."
      }.each { |attributes, message| expect(messages { pin(start, attributes) }.first).to match(message) }
    end

    it "keep a fixed value as it is stored, however it was typed" do
      {
        ["received", "3 Dec 2026"] => "2026-12-03",
        %w[clay 1,200.50] => "1200.5",
        %w[stage glazed] => "Glazed"
      }.each do |(on, typed), kept|
        without = changes::UnpinRule.new(table: "pieces", rule: "r102").apply(start)
        expect(
          pin(without, kind: "default", field: on, value: typed).tables.first.rules.last.attributes["value"]
        ).to eq(kept)
      end
    end

    it "never wait for one another in a circle" do
      first = pin(start, kind: "default", field: "clay", formula: "wet - 1")
      expect(messages { pin(first, kind: "default", field: "wet", formula: "clay + 1") }).to eq(
        ["Circular reference: Clay → Wet → Clay."]
      )
      expect(messages { pin(start, kind: "default", field: "wet", formula: "wet + 1") }.first).to start_with(
        "Circular reference in Wet"
      )
    end

    it "say themselves in words" do
      design =
        pin(
          pin(start, kind: "default", field: "received", formula: "today() + 14"),
          kind: "check",
          field: "clay",
          formula: "clay > 0",
          name: "weighs something"
        ).tables.first
      expect(design.rules.map { |rule| [rule.tack(design), rule.sentence(design), rule.fields(design)] }).to eq(
        [
          ["55", "Tare defaults to 55.", ["tare"]],
          ["Clay + Tare = Wet", "Clay + Tare must equal Wet.", %w[wet clay tare]],
          ["Drying", "Stage defaults to Drying.", ["stage"]],
          ["today + 14", "Received defaults to today + 14.", ["received"]],
          ["weighs something", "Clay must be more than 0.", ["clay"]]
        ]
      )
    end
  end
end
