# frozen_string_literal: true

require "store_helper"

# Kept values are never stale: after anything at all, each is what its formula
# gives on the records as they are.
RSpec.describe "Calculated values that follow" do
  def save(table, typed, id: nil) =
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: table, id: id, typed: typed)

  def delete(table, id) = UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: table, id: id)
  def rows(table) = UpTack::Store::RecordTable.new(workspace.table(table))
  def shown(table, id, key) = workspace.plan(table).complete(id, rows(table).find(id), workspace.context)[key]

  def calculate(table, field, formula, keeping: "always", id: nil) =
    change(
      :PinRule,
      table: table,
      rule: {
        "kind" => "calculation",
        "field" => field,
        "formula" => formula,
        "keeping" => keeping,
        "id" => id
      }.compact
    )

  def rule_on(table, field) = workspace.table(table).calculation(field).id

  # Every kept value that differs from a fresh evaluation over the stored records.
  def stale
    ws = workspace
    ws
      .project
      .upkeep
      .calculations
      .select { |each| ws.project.upkeep.kept?(*each.place) && !each.rule.once? }
      .flat_map do |each|
        found = []
        UpTack::Store::RecordTable
          .new(each.table)
          .each do |id, row|
            fresh =
              each.field.coerce(
                each.formula.call(
                  Core::Expression::Evaluation.new(values: row, context: ws.context, is_new: false, id: id)
                )
              )
            found << [each.place, id, row[each.field.key], fresh] unless fresh == row[each.field.key]
          end
        found
      end
  end

  it "are right in the demo" do
    expect(stale).to eq([])
    expect(
      [
        shown("members", 1, "address_as"),
        shown("members", 5, "address_as"),
        shown("members", 1, "open_orders"),
        shown("pieces", 1, "loss"),
        shown("pieces", 12, "days_late")
      ]
    ).to eq(["Ms Ansa Velt", "Juniper Sallow", number("23.5"), number("20"), number("8")])
    expect(shown("pieces", 1, "page")).to eq("https://kiln.emberlane.example/pieces/pc-00001")
    at = ->(day) do
      workspace(at: day).then do |ws|
        %w[collected_7 collected_14].map do |key|
          ws.plan("members").complete(3, rows("members").find(3), ws.context)[key].to_i
        end
      end
    end
    expect(%w[2026-11-17 2026-11-23 2026-11-24 2026-11-30 2026-12-01].map { |day| at.call(day) }).to eq(
      [[1, 1], [1, 1], [0, 1], [0, 1], [0, 0]]
    )
  end

  it "follow along links and among linked records by the same save, and the log says so" do
    save("titles", {"text" => "Prof"}, id: 4)
    expect([rows("members").find(4)["address_as"], stale]).to eq(["Prof Isolde Penhurrow", []])
    expect(JSON.parse(UpTack::Store::Entry.last.followed)).to eq(
      [{"table" => "Members", "field" => "Address as", "count" => 2}]
    )
    save("orders", {"member" => 3, "agreed" => "5"}, id: 1)
    expect([1, 3].map { |id| rows("members").find(id)["open_orders"] }).to eq([number("14"), number("5")])
    delete("orders", 1)
    expect([rows("members").find(3)["open_orders"], stale]).to eq([number("0"), []])
  end

  it "follow a change of the formula on all old records, and go back with an undo" do
    before = (1..28).map { |id| rows("pieces").find(id) }
    calculate("pieces", "loss", "wet_weight - fired_weight", id: rule_on("pieces", "loss"))
    expect([rows("pieces").find(1)["loss"], stale]).to eq([number("156.1"), []])
    design.undo
    expect((1..28).map { |id| rows("pieces").find(id) }).to eq(before)
  end

  it "bring back with an undo what people had typed before a field was worked out" do
    notes = (1..28).map { |id| rows("pieces").find(id)["maker_note"] }
    calculate("pieces", "maker_note", "tag & \" \" & piece")
    expect(rows("pieces").find(3)["maker_note"]).to eq("PC-00003 Butter dish")
    calculate("pieces", "maker_note", "tag", keeping: "shown", id: rule_on("pieces", "maker_note"))
    expect([columns("pieces").key?("maker_note"), shown("pieces", 3, "maker_note")]).to eq([false, "PC-00003"])
    2.times { design.undo }
    expect((1..28).map { |id| rows("pieces").find(id)["maker_note"] }).to eq(notes)
    2.times { design.redo }
    expect(shown("pieces", 3, "maker_note")).to eq("PC-00003")
  end

  it "are worked out again after exactly those changes of the design that can make them stale" do
    from = workspace.project
    dirty = ->(kind, **parts) do
      UpTack::Recalculation::AfterDesign
        .new(from, Core::Design::Changes.const_get(kind).new(**parts).apply(from))
        .dirty
        .places
        .map { |place| place.join(".") }
    end
    expect(
      dirty.call(
        :ChangeField,
        table: "members",
        field: "name",
        parts: {"label" => "Full name", "note" => "as on the card"}
      )
    ).to eq([])
    expect(dirty.call(:ChangeTable, table: "pieces", parts: {"label" => "Pots"})).to eq([])
    expect(dirty.call(:MoveField, table: "pieces", field: "loss", position: 0)).to eq([])
    expect(dirty.call(:ChangeField, table: "pieces", field: "wet_weight", parts: {"decimals" => 0})).to eq(
      ["pieces.loss"]
    )
    expect(dirty.call(:ChangeField, table: "pieces", field: "loss", parts: {"decimals" => 2})).to eq(
      ["pieces.loss"]
    )
    expect(
      dirty.call(
        :PinRule,
        table: "members",
        rule: from.table("members").calculation("address_as").attributes.merge("formula" => "name")
      )
    ).to eq(["members.address_as"])
    expect(
      dirty.call(:PinRule, table: "pieces", rule: {"kind" => "check", "field" => "hold", "formula" => "hold > 0"})
    ).to eq([])
    expect(dirty.call(:UnpinRule, table: "pieces", rule: from.table("pieces").calculation("loss").id)).to eq([])
    inner =
      Core::Design::Changes::PinRule.new(
        table: "pieces",
        rule: {"kind" => "calculation", "field" => "maker_note", "formula" => "page", "keeping" => "always"}
      ).apply(from)
    changed =
      Core::Design::Changes::PinRule.new(
        table: "pieces",
        rule: inner.table("pieces").calculation("page").attributes.merge("formula" => "tag")
      ).apply(inner)
    expect(UpTack::Recalculation::AfterDesign.new(inner, changed).dirty.places).to eq([%w[pieces maker_note]])
  end

  it "leave everything as it was when the work is stopped" do
    progress = UpTack::Progress.new
    progress.stop
    before = [workspace.revision_id, rows("pieces").find(1)]
    changed =
      Core::Design::Changes::PinRule.new(
        table: "pieces",
        rule: {"id" => rule_on("pieces", "loss"), "kind" => "calculation", "field" => "loss", "formula" => "1"}
      )
    expect { UpTack::UseCases::Design::ChangeDesign.new(workspace, progress: progress).call(changed) }.to raise_error(
      UpTack::Progress::Stopped
    )
    expect([workspace.revision_id, rows("pieces").find(1)]).to eq(before)
  end

  it "that are worked out once are given when what they read along a link is first there, and never again" do
    change(:AddField, table: "pieces", parts: {"label" => "Phone then", "type" => "text"})
    calculate("pieces", "phone_then", "maker.second_phone", keeping: "once")
    id = save("pieces", good_piece.merge("maker" => 3)).record.id
    expect(rows("pieces").find(id)["phone_then"]).to be_nil
    save("members", {"second_phone" => "01 555 0999"}, id: 3)
    expect(rows("pieces").find(id)["phone_then"]).to eq("01 555 0999")
    save("pieces", {"phone_then" => ""}, id: id)
    save("members", {"second_phone" => "01 555 0111"}, id: 3)
    expect(rows("pieces").find(id)["phone_then"]).to be_nil
  end

  it "are sorted and filtered by as what is shown compares, kept or not" do
    list = ->(**how) do
      UpTack::UseCases::Records::ListRecords
        .new(workspace(at: "2026-11-23"))
        .call(table: "members", limit: 500, **how)
        .records
        .map(&:id)
    end
    values = ->(key) do
      ws = workspace(at: "2026-11-23")
      (1..12).to_h { |id| [id, ws.plan("members").complete(id, rows("members").find(id), ws.context)[key]] }
    end
    %w[address_as collected_14 open_orders].each do |key|
      folded = values.call(key).transform_values { |value| value.is_a?(String) ? value.downcase : value }
      expect(list.call(sort: key)).to eq((1..12).sort_by { |id| [folded[id], id] }), key
    end
    expect(list.call(filter: "collected_14 > 0")).to eq(
      values.call("collected_14").select { |_, value| value > 0 }.keys
    )
    expect(list.call(filter: "title.text = \"dr\" or open_orders > 50", sort: "name")).to eq([6, 8, 4])
    expect(list.call(sort: "-title").first(3)).to eq([3, 1, 8])
    expect { list.call(filter: "name = ") }.to raise_error(Core::Invalid, /Incomplete formula/)
    pages = UpTack::UseCases::Records::ListRecords.new(workspace).call(table: "members", filter: "shelves > 0",
      limit: 4)
    following =
      UpTack::UseCases::Records::ListRecords.new(workspace).call(
        table: "members",
        filter: "shelves > 0",
        limit: 4,
        cursor: pages.following
      )
    totals = UpTack::UseCases::Records::ComputeTotals.new(workspace).call(table: "members", filter: "shelves > 0")
    expect([totals.matching, totals.total, following.records.map(&:id)]).to eq([11, 12, [5, 7, 8, 9]])
  end

  describe "what happens to records whose link loses its record" do
    def on_delete(choice) = change(:ChangeField, table: "orders", field: "member", parts: {"on_delete" => choice})

    before { [1, 2, 17, 24].each { |id| save("pieces", {"maker" => 2}, id: id) } }

    it "refuses the deletion, with their names, unless the builder chose otherwise" do
      answer = delete("members", 1)
      expect([answer.state, answer.reasons]).to eq(
        [:linked, ["2 records in Orders use it as Member: OR-2026-0001, OR-2026-0002."]]
      )
      expect(rows("members").find(1)).not_to be_nil
    end

    it "deletes them along, each with its entry in the log" do
      on_delete("delete")
      expect(delete("members", 1).state).to eq(:saved)
      expect([rows("members").find(1), rows("orders").count, stale]).to eq([nil, 10, []])
      expect(UpTack::Store::Entry.last(3).map { |entry| [entry.action, entry.record_title] }).to eq(
        [["delete", "Ansa Velt"], %w[delete OR-2026-0001], %w[delete OR-2026-0002]]
      )
    end

    it "clears the link through the rules, or refuses where a rule needs it, and then changes nothing" do
      on_delete("clear")
      before = UpTack::Store::Entry.count
      expect(delete("members", 1).reasons).to eq(
        ["OR-2026-0001 in Orders can't be without Member: Select the member who ordered."]
      )
      expect([UpTack::Store::Entry.count, rows("orders").find(1)["member"]]).to eq([before, 1])
      change(
        :UnpinRule,
        table: "orders",
        rule: workspace.table("orders").rules.find { |each| each.kind == "required" }.id
      )
      expect(delete("members", 1).state).to eq(:saved)
      expect([rows("orders").find(1)["member"], rows("orders").find(2)["member"]]).to eq([nil, nil])
    end
  end

  it "finds linked records by name, tells two of one name apart, and keeps the name in the log" do
    expect(save("orders", {"member" => "fenna aldersyke", "agreed" => "1"}).record.values["member"]).to eq(8)
    refused = ->(text) { save("orders", {"member" => text, "agreed" => "1"}).outcome.refusals.first.message }
    expect(refused.call("Ansa Velt")).to eq(
      "Member: more than one record is named “Ansa Velt” (#1, #6). Choose one, or enter its #."
    )
    expect(refused.call("Nobody")).to eq("Member: no record is named “Nobody”. Check the spelling or create it first.")
    expect(refused.call(99)).to eq("Member: there is no record #99; it may have been deleted.")
    matches = ->(text) do
      UpTack::Store::NameSearch.new(workspace.plan("members"), workspace.context).like(text).map(&:id)
    end
    expect([matches.call("ansa"), matches.call("velt 0190"), matches.call("LATHE cor"), matches.call("zz")]).to eq(
      [[1, 6], [6], [7], []]
    )
    expect(UpTack::Store::Entry.last.field_changes.find { |each| each.field_label == "Member" }.texts(nil)).to eq(
      ["", "Fenna Aldersyke"]
    )
  end

  it "turns names into links and back, and says which names it does not know" do
    losses =
      UpTack::UseCases::Design::PreviewLosses.new(workspace).call(
        table: "orders",
        field: "what",
        type: "link",
        target: "clays"
      )
    expect(losses.values).to eq(12)
    begin
      change(:ChangeField, table: "pieces", field: "clay", parts: {"type" => "text"})
    rescue
      expect($!.message).to start_with("A rule on Peak °C of Pieces would no longer work")
    end
    change(:AddField, table: "orders", parts: {"label" => "Clay", "type" => "text"})
    {1 => "snowfall", 2 => "Moon dust"}.each { |id, clay| save("orders", {"clay" => clay}, id: id) }
    change(:ChangeField, table: "orders", field: "clay", parts: {"type" => "link", "target" => "clays"})
    expect([1, 2].map { |id| rows("orders").find(id)["clay"] }).to eq([4, nil])
    change(:ChangeField, table: "orders", field: "clay", parts: {"type" => "text"})
    expect(rows("orders").find(1)["clay"]).to eq("Snowfall")
    2.times { design.undo }
    expect([1, 2].map { |id| rows("orders").find(id)["clay"] }).to eq(["snowfall", "Moon dust"])
  end

  it "hold after any sequence of edits, deletions, relinkings and changes of formulas" do
    random = Random.new(77)
    change(:AddField, table: "members", parts: {"label" => "Made", "type" => "text"})
    change(:AddField, table: "members", parts: {"label" => "Heaviest", "type" => "number"})
    change(:AddField, table: "pieces", parts: {"label" => "Whose", "type" => "text"})
    calculate("pieces", "whose", "tag & \" by \" & maker.address_as & count(maker.pieces)")
    formulas = {
      %w[members made] => [
        "join(pieces.piece, \", \")",
        "join(pieces.tag where stage = \"Collected\") & title.text",
        "\"\" & count(pieces where clay.family = \"Stoneware\")",
        "\"\" & sum(orders.amount) & count(pieces where maker.title.text = this.title.text)"
      ],
      %w[members heaviest] => [
        "max(pieces.wet_weight)",
        "sum(pieces.wet_weight where clay.name <> \"Snowfall\")",
        "len(made)"
      ],
      %w[pieces whose] => ["maker.made & tag", "tag & clay.pieces_made", "maker.title.text & maker.open_orders"]
    }
    formulas.each do |(table, field), (first, *)|
      calculate(table, field, first) unless workspace.table(table).calculation(field)
    end
    pick = ->(list) { list[random.rand(list.length)] }
    ids = ->(table) { UpTack::Store::RecordTable.model(table).pluck(:id).sort }
    done = Hash.new(0)
    45.times do |round|
      kind = pick.call(%i[title member piece piece relink relink order delete formula])
      case kind
      when :title
        save("titles", {"text" => pick.call(%w[Ms Mr Dr Prof])}, id: pick.call(ids.call("titles")))
      when :member
        save(
          "members",
          {"name" => pick.call(%w[Ansa Bo Cy]), "title" => pick.call([nil, *ids.call("titles")])},
          id: pick.call(ids.call("members"))
        )
      when :piece
        save(
          "pieces",
          {
            "tag" => "PC-#{format("%05d", random.rand(99))}",
            "stage" => pick.call(%w[Drying Collected]),
            "piece" => pick.call(%w[Mug Jar])
          },
          id: pick.call([nil, *ids.call("pieces").first(12)])
        )
      when :relink
        save(
          "pieces",
          {"maker" => pick.call(ids.call("members")), "clay" => pick.call([nil, *ids.call("clays")])},
          id: pick.call(ids.call("pieces"))
        )
      when :order
        save(
          "orders",
          {
            "member" => pick.call(ids.call("members")),
            "agreed" => random.rand(1..50).to_s,
            "status" => pick.call(%w[Open Paid])
          },
          id: pick.call([nil, *ids.call("orders")])
        )
      when :delete
        delete(
          *pick.call(
            [
              ["pieces", pick.call(ids.call("pieces"))],
              ["orders", pick.call(ids.call("orders"))],
              ["clays", pick.call(ids.call("clays"))]
            ]
          )
        )
      when :formula
        (table, field), texts = pick.call(formulas.to_a)
        begin
          calculate(table, field, pick.call(texts), id: rule_on(table, field))
        rescue Core::Invalid => e
          raise unless e.message.include?("circle")
        end
      end
      done[kind] += 1
      expect(stale).to eq([]), "round #{round}: #{kind}"
    end
    expect(done.length).to eq(7)
  end
end
