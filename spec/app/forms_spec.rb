# frozen_string_literal: true

require "store_helper"

RSpec.describe "Forms over the store" do
  let(:table) { workspace.table("pieces") }

  def form_of(table, name) = workspace.table(table).forms.find { |form| form.name == name }

  def keep(form, **parts) =
    change(
      :SaveForm,
      table: "pieces",
      form: {
        "name" => "Desk",
        "sections" => [
          {"columns" => 2, "items" => %w[piece maker clay firing peak].map { |key| {"field" => key} }}
        ]
      }.merge("id" => form).compact.merge(parts.transform_keys(&:to_s))
    )

  def desk(**parts) = keep(nil, **parts) && form_of("pieces", "Desk")

  def answer(form, typed, table: "pieces", **more) =
    UpTack::UseCases::Records::AnswerDraft.new(workspace).call(table: table, typed: typed, form: form.id, **more)

  def mistakes(**parts)
    keep(nil, **parts)
    []
  rescue Core::Invalid => e
    e.problems.map { |each| [each.part, each.message] }
  end

  describe "where the cursor goes" do
    def following(typed, **parts) = answer(desk(**parts), typed).form_state.following

    it "goes on in the order of the layout, or in one of its own, and ends" do
      expect(following({})).to eq(
        "piece" => "maker",
        "maker" => "clay",
        "clay" => "firing",
        "firing" => "peak",
        "peak" => nil
      )
      keep(form_of("pieces", "Desk").id, order: %w[firing piece])
      expect(answer(form_of("pieces", "Desk"), {}).form_state).to have_attributes(
        first: "firing",
        following: include("firing" => "piece", "piece" => "maker", "maker" => "clay", "clay" => "peak")
      )
    end

    it "passes over what rules have filled and what was typed, when the form says so" do
      expect(following({"piece" => "Mug"}, skip_filled: true)).to include("piece" => "maker", "clay" => nil)
    end

    it "jumps by condition, to the first blank one, to the end, and on from a field that is closed" do
      jumps = [
        {"after" => "piece", "when" => 'firing = "Raku"', "to" => "peak"},
        {"after" => "piece", "to" => "clay"},
        {"after" => "clay", "to" => "first_blank"},
        {"after" => "maker", "to" => "end"}
      ]
      expect(following({"piece" => "Mug"}, jumps: jumps)).to include(
        "piece" => "clay",
        "clay" => "maker",
        "maker" => nil
      )
      expect(answer(form_of("pieces", "Desk"), {"firing" => "raku"}).form_state.following["piece"]).to eq("peak")
      keep(
        form_of("pieces", "Desk").id,
        jumps: [{"after" => "piece", "to" => "clay"}],
        sections: [
          {
            "items" => [
              {"field" => "piece"},
              {"field" => "clay", "states" => [{"state" => "shown", "when" => "peak > 2000"}]},
              {"field" => "firing"},
              {"field" => "peak"}
            ]
          }
        ]
      )
      expect(answer(form_of("pieces", "Desk"), {}).form_state.following["piece"]).to eq("firing")
    end
  end

  it "begins with what the form says rather than the table, and carries over what it was told to" do
    form =
      desk(
        sections: [
          {
            "items" => [
              {"field" => "piece"},
              {"field" => "firing", "default" => '"Glaze"'},
              {"field" => "maker", "carry" => true},
              {"field" => "peak"}
            ]
          }
        ]
      )
    opened = answer(form, {}, carried: {"maker" => 2, "piece" => "Not carried"}).outcome
    expect(opened.values.values_at("firing", "peak", "maker", "piece")).to eq(["Glaze", 1222, 2, nil])
    expect(opened.origins["maker"].words).to eq("as in the previous record")
    saved =
      UpTack::UseCases::Records::SaveRecord.new(workspace).call(
        table: "pieces",
        form: form.id,
        carried: {"maker" => 2},
        typed: {"piece" => "Mug"}
      )
    expect(saved.record.values.values_at("firing", "maker")).to eq(["Glaze", 2])
    expect(answer(form, {}, carried: {"maker" => 999_999}).outcome.values["maker"]).to be_nil
  end

  it "adds to the table's rules and never weakens them" do
    form =
      desk(
        sections: [
          {
            "items" => [
              {"field" => "piece", "states" => [{"state" => "required", "when" => "no"}]},
              {"field" => "firing", "states" => [{"state" => "read_only", "when" => "peak > 1000"}]},
              {"field" => "peak"}
            ]
          }
        ]
      )
    states = answer(form, {"firing" => "Glaze"}).form_state.states
    expect([states["piece"].required, states["firing"].read_only, states["tag"].read_only]).to eq([true, true, false])
    saved = UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "pieces", form: form.id,
      typed: {"peak" => "2000"})
    expect(saved.outcome.refusals.map(&:field)).to include("piece", "maker", "peak")
  end

  it "follows a renamed field through layout, order, jumps and formulas, and loses a deleted one only" do
    form =
      desk(
        order: %w[peak piece],
        jumps: [{"after" => "piece", "when" => "peak > 3", "to" => "peak"}],
        sections: [
          {
            "items" => [
              {"field" => "piece", "states" => [{"state" => "shown", "when" => "peak > 2"}]},
              {"field" => "peak"},
              {"panel" => "clay", "fields" => ["limit"]}
            ]
          }
        ]
      )
    change(:ChangeField, table: "pieces", field: "peak", parts: {"label" => "Top"})
    change(:ChangeField, table: "clays", field: "limit", parts: {"label" => "Most"})
    attributes = workspace.table("pieces").form(form.id).attributes
    expect(attributes).to include(
      "order" => %w[top piece],
      "jumps" => [{"after" => "piece", "when" => "top > 3", "to" => "top"}]
    )
    expect(attributes["sections"].first["items"]).to eq(
      [
        {"field" => "piece", "states" => [{"state" => "shown", "when" => "top > 2"}]},
        {"field" => "top"},
        {"panel" => "clay", "fields" => ["most"]}
      ]
    )
    losses = UpTack::UseCases::Design::PreviewLosses.new(workspace).call(table: "pieces", field: "top")
    expect(losses.rules).to include(
      "It is removed from the form Desk of Pieces.",
      "It is removed from the form Kiln desk of Pieces."
    )
    change(:RemoveField, table: "pieces", field: "top")
    attributes = workspace.table("pieces").form(form.id).attributes
    expect([attributes["order"], attributes["jumps"], attributes["sections"].first["items"]]).to eq(
      [["piece"], [], [{"field" => "piece", "states" => []}, {"panel" => "clay", "fields" => ["most"]}]]
    )
    design.undo
    expect(workspace.table("pieces").form(form.id).field_keys).to eq(%w[piece top])
  end

  {
    {name: " "} => "Enter a name.",
    {name: "Reception"} => "There is already a form “Reception”.",
    {sections: [{"items" => [{"field" => "gone"}]}]} => "Desk: there is no field `gone` in Pieces.",
    {sections: [{"items" => [{"field" => "piece"}, {"field" => "piece"}]}]} => "Piece is on Desk twice.",
    {sections: [{"columns" => 9, "items" => []}]} => "A section can have 1 to 4 columns.",
    {sections: [{"items" => [{"lines" => {"table" => "clays", "link" => "name"}}]}]} =>
      "Desk: no records of that table link here.",
    {sections: [{"items" => [{"panel" => "piece"}]}]} =>
      "Desk: fields of a linked record need a link. Choose one.",
    {sections: [{"items" => [{"field" => "page", "default" => '"x"'}]}]} =>
      "Web page is set by a rule, so a form can't have a default for it.",
    {jumps: [{"after" => "piece", "to" => "tag"}]} =>
      "A jump leads from a field of the form to another field, to the first blank field or to the end.",
    {jumps: [{"after" => "piece", "to" => "piece"}]} => "The jump after Piece leads back to the same field."
  }.each do |parts, message|
    it "are refused in words: #{parts}" do
      expect(mistakes(**parts).map(&:last).first).to start_with(message)
    end
  end

  it "tell a mistake in a formula with its place" do
    expect(mistakes(jumps: [{"after" => "piece", "when" => "peek > 3", "to" => "peak"}])).to eq(
      [["jumps.0.when", "There is no field `peek`; did you mean `peak`?"]]
    )
  end

  describe "with lines beneath a record" do
    def group(*rows) =
      [
        UpTack::UseCases::Lines::Group.new(
          table: "order_lines",
          link: "order",
          rows: rows.map { |row| UpTack::UseCases::Lines::Row.new(typed: {}, gone: false, **row) }
        )
      ]

    def save_order(typed, *rows, **more) =
      UpTack::UseCases::Lines::Save.new(workspace).call(
        table: "orders",
        typed: typed,
        groups: group(*rows),
        form: form_of("orders", "Order").id,
        **more
      )

    def order_lines = UpTack::Store::RecordTable.new(workspace.table("order_lines"))
    let(:bag) { {"what" => "Bag", "quantity" => "2", "price" => "9.50"} }

    it "totals them before anything is saved" do
      live =
        UpTack::UseCases::Lines::AnswerDraft.new(workspace).call(
          table: "orders",
          typed: {"member" => 1},
          groups: group({typed: bag}, {typed: {"what" => "Firing", "price" => "5"}})
        )
      expect(live.outcome.values["amount"]).to eq(24)
      expect(live.lines.flatten.map { |line| line.outcome.values["total"] }).to eq([19, 5])
      live =
        UpTack::UseCases::Lines::AnswerDraft.new(workspace).call(
          table: "orders",
          typed: {},
          id: 12,
          groups: group({id: 1, typed: {"quantity" => "1"}}, {id: 2, gone: true})
        )
      expect([live.outcome.values["amount"], order_lines.count]).to eq([15, 3])
    end

    it "saves record and lines in one go, the total right at once" do
      answer = save_order({"member" => 1}, {typed: bag}, {typed: {"what" => "Firing", "price" => "5"}})
      expect([answer.state, answer.record.values["amount"]]).to eq([:saved, 24])
      lines = order_lines.linked("order", [answer.record.id]).map { |id, row| [id, row["total"]] }
      expect(lines.map(&:last)).to eq([19, 5])
      answer =
        save_order(
          {},
          {id: lines.first.first, typed: {"quantity" => "3"}},
          {id: lines.last.first, gone: true},
          id: answer.record.id
        )
      expect(
        [answer.state, answer.record.values["amount"], order_lines.linked("order", [answer.record.id]).length]
      ).to eq([:saved, 28.5, 1])
    end

    it "saves nothing when a line is refused, and says what is wrong with which" do
      before = [
        UpTack::Store::RecordTable.new(workspace.table("orders")).count,
        order_lines.count,
        UpTack::Store::Entry.count
      ]
      answer = save_order({"member" => 1}, {typed: bag}, {typed: {"quantity" => "0"}})
      expect(answer.state).to eq(:refused)
      expect(answer.lines.first.map { |line| line.outcome.refusals.map(&:field) }).to eq(
        [[], %w[what quantity price]]
      )
      expect(
        [
          UpTack::Store::RecordTable.new(workspace.table("orders")).count,
          order_lines.count,
          UpTack::Store::Entry.count
        ]
      ).to eq(before)
      expect(save_order({"member" => 1}, {typed: bag}).record.values["number"]).to match(/\AOR-20\d\d-0*\d+\z/)
    end

    it "tells of a line that somebody else changed or took away meanwhile" do
      version = UpTack::Store::ChangeLog.version_of(workspace.table("order_lines"), 1)
      UpTack::UseCases::Records::SaveRecord.new(workspace("Senna Whitlock")).call(
        table: "order_lines",
        id: 1,
        typed: {"price" => "8"}
      )
      answer = save_order({}, {id: 1, version: version, typed: {"price" => "7"}}, id: 12)
      expect([answer.state, answer.lines.flatten.first.outcome.refusals.map(&:code)]).to eq(
        [:refused, ["changed_meanwhile"]]
      )
      expect(order_lines.find(1)["price"]).to eq(8)
    end

    it "are refused where they do not link" do
      expect {
        UpTack::UseCases::Lines::Save.new(workspace).call(
          table: "pieces",
          typed: {},
          id: 20,
          groups: group({typed: bag})
        )
      }.to raise_error(Core::Invalid, /don't link here/)
    end
  end
end
