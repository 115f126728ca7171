# frozen_string_literal: true

require "core_helper"

RSpec.describe "Links, titles and filters in a design" do
  changes = Core::Design::Changes

  def message
    yield
    nil
  rescue Core::Invalid => e
    e.message
  end

  def links_of(project) =
    project
      .table("pieces")
      .fields
      .select(&:link?)
      .map { |field| [field.key, field.target, field.on_delete, field.reverse] }

  it "refuse deletion unless the builder chose otherwise, and keep what was chosen" do
    expect(links_of(studio)).to eq(
      [["maker", "members", "refuse", "Pieces made"], ["helper", "members", "refuse", nil]]
    )
    changed =
      changes::ChangeField.new(
        table: "pieces",
        field: "helper",
        parts: {"on_delete" => "clear", "reverse" => "Helped with"}
      ).apply(studio)
    expect(links_of(Core::Design::Project.from(changed.attributes)).last).to eq(
      ["helper", "members", "clear", "Helped with"]
    )
    text = changes::ChangeField.new(table: "pieces", field: "helper", parts: {"type" => "text"}).apply(changed)
    expect(text.table("pieces").field("helper").attributes.keys).to eq(%w[id key label type])
  end

  {
    {"type" => "link"} => "Choose the table that Kiln links to.",
    {"type" => "link", "target" => "kilns"} => "Choose the table that Kiln links to.",
    {"type" => "link", "target" => "members", "on_delete" => "explode"} =>
      "When the linked record is deleted: prevent it, clear the link or delete this record too.",
    {"type" => "link", "target" => "members", "reverse" => "x" * 61} =>
      "The name of the linking records must be a short text.",
    {"type" => "link", "target" => 7} => "Choose the table that Kiln links to."
  }.each do |parts, said|
    it("refuse #{parts.inspect[0, 70]}") do
      expect(
        message { changes::AddField.new(table: "pieces", parts: {"label" => "Kiln"}.merge(parts)).apply(studio) }
      ).to eq(said)
    end
  end

  it "follow a renamed table, and can point to their own" do
    renamed = changes::ChangeTable.new(table: "members", parts: {"label" => "Potters"}).apply(studio)
    expect(links_of(renamed).map { |link| link[1] }).to eq(%w[potters potters])
    parent =
      changes::AddField.new(
        table: "members",
        parts: {"label" => "Teacher", "type" => "link", "target" => "members"}
      ).apply(studio)
    table = parent.table("members")
    formula = Core::Expression.compile("teacher.teacher.name & count(members)", table.scope)
    expect(formula.references.map { |each| [each.table, each.key, each.steps.map(&:kind)] }).to include(
      ["members", "name", %i[link link]],
      ["members", "teacher", [:linked]]
    )
  end

  it "name records by the field that the builder picked, which is no link and follows a rename" do
    titled = changes::ChangeTable.new(table: "members", parts: {"title" => "joined"}).apply(studio)
    expect(titled.table("members").title_field.key).to eq("joined")
    renamed = changes::ChangeField.new(table: "members", field: "joined", parts: {"label" => "Since"}).apply(titled)
    expect(
      [
        renamed.table("members").title,
        changes::RemoveField.new(table: "members", field: "since").apply(renamed).table("members").title_field.key
      ]
    ).to eq(%w[since name])
    expect(
      message { changes::ChangeTable.new(table: "members", parts: {"title" => "title"}).apply(studio) }
    ).to include("a field of this table that is not a link")
    expect(
      message { changes::ChangeTable.new(table: "members", parts: {"title" => "nothing"}).apply(studio) }
    ).to include("a field of this table")
  end

  it "keep filters under names, one of a name, sound ones only, and drop those that lost their field" do
    keep = ->(project, name, formula) do
      changes::SaveFilter.new(table: "pieces", name: name, formula: formula).apply(project)
    end
    kept = keep.call(keep.call(studio, "Heavy", "weight > 500"), "Ansa's", "maker.name = \"Ansa Velt\"")
    again = keep.call(kept, "heavy", "weight > 600")
    expect(again.table("pieces").filters.map { |filter| [filter.name, filter.formula] }).to eq(
      [["Heavy", "weight > 600"], ["Ansa's", "maker.name = \"Ansa Velt\""]]
    )
    expect(message { keep.call(kept, "Bad", "weight") }).to start_with("This must be yes or no")
    expect(message { keep.call(kept, " ", "weight > 1") }).to eq("Enter a name.")
    expect(message { keep.call(kept, "None", nil) }).to include("A filter must be a condition")
    expect(
      changes::ChangeField
        .new(table: "members", field: "name", parts: {"label" => "Full name"})
        .apply(kept)
        .table("pieces")
        .filters
        .last
        .formula
    ).to eq("maker.full_name = \"Ansa Velt\"")
    expect(
      changes::RemoveField.new(table: "members", field: "name").apply(kept).table("pieces").filters.map(&:name)
    ).to eq(["Heavy"])
    expect(
      changes::DeleteFilter
        .new(table: "pieces", filter: kept.table("pieces").filters.first.id)
        .apply(kept)
        .table("pieces")
        .filters
        .map(&:name)
    ).to eq(["Ansa's"])
    expect(message { changes::DeleteFilter.new(table: "pieces", filter: "q99").apply(kept) }).to include(
      "This view does not exist"
    )
  end

  it "tell a change that would break a rule elsewhere by the field that the rule is pinned on" do
    project = studio("members" => [rule("calculation", "total", formula: "sum(pieces.maker.weight)")])
    expect(
      message do
        changes::ChangeField.new(table: "pieces", field: "weight", parts: {"type" => "text"}).apply(project)
      end
    ).to eq("A rule on Total of Members would no longer work: `sum` takes a number, but this is a text.")
    expect(
      message do
        changes::ChangeField.new(table: "pieces", field: "maker", parts: {"type" => "text"}).apply(project)
      end
    ).to start_with("A rule on Total of Members would no longer work:")
  end

  it "begin as another link of the same table, and are never worked out" do
    pin = ->(kind, formula) { message { studio("pieces" => [rule(kind, "helper", formula: formula)]) } }
    expect(
      [
        pin.call("default", "maker"),
        pin.call("default", "if stage is blank then maker else blank"),
        pin.call("default", "coalesce(helper, maker)")
      ]
    ).to eq([nil, nil, "Circular reference in Helper: the formula uses the field it sets."])
    expect(pin.call("default", "maker.title")).to eq("This leads to Titles; Helper links to Members.")
    expect(pin.call("default", "maker.name")).to eq("This must give a link; it gives a text.")
    expect(pin.call("calculation", "maker")).to eq("A link can't be calculated. Give it a default instead.")
  end

  describe "as values" do
    def given(raw) =
      Core::Values::Link.read(
        raw,
        studio.table("pieces").field("maker"),
        Core::ParseContext.new(conventions: Core::Conventions.from({}), records: studio_records)
      )

    def said(raw) = given(raw).message

    it "are read from a number, a name or a number that somebody typed" do
      expect([4, "4", "ansa VELT", " Maro Tinsley ", "", "  ", nil].map { |raw| given(raw) }).to eq(
        [4, 4, 4, 5, nil, nil, nil]
      )
    end

    it "are refused where there is no such record, or more than one" do
      expect(said(99)).to eq("Maker: there is no record #99; it may have been deleted.")
      expect(said(-1)).to include("no record #-1")
      expect(said("Nobody")).to eq("Maker: no record is named “Nobody”. Check the spelling or create it first.")
      expect(said(["a"])).to include("one value")
      expect(said(true)).to include("no record is named “yes”")
      twins = Core::Ports::HeldRecords.new({"members" => (1..7).to_h { |id| [id, {"name" => "Ansa"}] }})
      several =
        Core::Values::Link.read(
          "ansa",
          studio.table("pieces").field("maker"),
          Core::ParseContext.new(conventions: nil, records: twins)
        )
      expect(several.message).to eq(
        "Maker: more than one record is named “ansa” (#1, #2, #3, #4, #5, …). Choose one, or enter its #."
      )
    end

    it "are shown by name, or by number where names are not to be had" do
      field = studio.table("pieces").field("maker")
      expect([field.show(4, studio_records), field.show(4), field.show(nil), Core::Values::Link.load("4")]).to eq(
        ["Ansa Velt", "#4", "", 4]
      )
    end
  end

  describe "times of day" do
    def read(raw) = Core::Values::Time.read(raw, nil, reading)

    it "are read as people type them and kept after ISO 8601" do
      {
        "9:30" => "09:30:00",
        "0930" => "09:30:00",
        "930" => "09:30:00",
        "9" => "09:00:00",
        "23.59" => "23:59:00",
        "9:30:15" => "09:30:15"
      }.each { |raw, kept| expect(Core::Values::Time.dump(read(raw))).to eq(kept), raw }
      expect(
        [
          read(""),
          Core::Values::Time.show(Core::Values::Time.load("09:30:00"), nil),
          Core::Values::Time.show(read("9:30:15"), nil)
        ]
      ).to eq([nil, "09:30", "09:30:15"])
    end

    it("are refused where there is no such time") do
      expect(%w[24:00 9:60 noon 12345].map { |raw| read(raw).code }.uniq).to eq(["not_a_time"])
    end
  end
end
