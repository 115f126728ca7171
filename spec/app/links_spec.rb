# frozen_string_literal: true

require "store_helper"

RSpec.describe "Links in the store" do
  def rows(table) = UpTack::Store::RecordTable.new(workspace.table(table))
  def connection = UpTack::Store::Database.connection

  def save(table, typed, id: nil)
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: table, id: id, typed: typed)
  end

  # The queries that a block sends.
  def queries
    sent = []
    listener =
      ActiveSupport::Notifications.subscribe("sql.active_record") do |*, payload|
        sent << payload[:sql] unless payload[:name] == "SCHEMA"
      end
    allow(UpTack::Store::Statements).to receive(:run).and_wrap_original do |run, sql, *values|
      sent << sql
      run.call(sql, *values)
    end
    yield
    sent
  ensure
    ActiveSupport::Notifications.unsubscribe(listener)
  end

  it "are columns with an index and a foreign key that any program can read" do
    keys = connection.foreign_keys("pieces").map { |key| [key.column, key.to_table] }
    expect(keys).to match_array([%w[maker members], %w[clay clays]])
    expect(connection.indexes("pieces").map(&:columns)).to include(["maker"], ["clay"])
    expect { UpTack::Store::Database.write { rows("pieces").update(1, {"maker" => 999}) } }.to raise_error(
      ActiveRecord::StatementInvalid,
      /FOREIGN KEY/
    )
    change(:ChangeTable, table: "members", parts: {"label" => "Potters"})
    expect(connection.foreign_keys("pieces").map(&:to_table)).to match_array(%w[clays potters])
  end

  it "let go of their records when their table or field is deleted, and come back without those that are gone" do
    change(:RemoveField, table: "pieces", field: "clay")
    expect(UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: "clays", id: 4).state).to eq(:saved)
    design.undo
    expect([rows("pieces").find(7)["clay"], rows("pieces").find(1)["clay"]]).to eq([nil, 3])
    change(:RemoveTable, table: "order_lines")
    change(:RemoveTable, table: "orders")
    change(:RemoveTable, table: "pieces")
    expect(UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: "members", id: 8).state).to eq(:saved)
    3.times { design.undo }
    expect([5, 6, 9].map { |id| rows("orders").find(id)["member"] }).to eq([nil, nil, 2])
    expect([rows("pieces").count, connection.foreign_keys("orders").length]).to eq([28, 1])
  end

  it "are turned to another table by the names that both know, and back by an undo" do
    change(:AddTable, label: "Kilns", one: "Kiln")
    ["Brick red", "Old Bess"].each { |name| save("kilns", {"name" => name}) }
    losses =
      UpTack::UseCases::Design::PreviewLosses.new(workspace).call(
        table: "pieces",
        field: "clay",
        type: "link",
        target: "kilns"
      )
    expect([losses.values, losses.kept, losses.examples.sort]).to eq(
      [24, 4, ["Harbour stoneware", "Raku body", "Snowfall", "Speckled oat"]]
    )
    before = (1..28).map { |id| rows("pieces").find(id)["clay"] }
    change(:UnpinRule, table: "clays", rule: workspace.table("clays").calculation("pieces_made").id)
    change(
      :UnpinRule,
      table: "pieces",
      rule: workspace.table("pieces").rules.find { |rule| rule.name == "not above the clay’s limit" }.id
    )
    unpin("pieces", "narrow", "clay")
    2.times { unpin("pieces", "fill", "verdict") }
    change(:RemoveField, table: "pieces", field: "clay_limit")
    change(:ChangeField, table: "pieces", field: "clay", parts: {"target" => "kilns"})
    expect([1, 2].map { |id| rows("pieces").find(id)["clay"] }).to eq([1, nil])
    design.undo
    expect((1..28).map { |id| rows("pieces").find(id)["clay"] }).to eq(before)
  end

  it "are followed in a few queries, however many records are shown or worked out" do
    few =
      queries do
        UpTack::UseCases::Records::ListRecords.new(workspace).call(
          table: "pieces",
          filter: "maker.title.text = \"Ms\" and clay.limit > 0",
          limit: 500
        )
      end
    expect(few.grep(/FROM "(members|titles|clays)"/).length).to eq(3)
    update =
      Core::Design::Changes::PinRule.new(
        table: "pieces",
        rule:
          workspace
            .table("pieces")
            .calculation("loss")
            .attributes
            .merge("formula" => "clay.price * wet_weight + len(maker.title.text)")
      )
    many = queries { UpTack::UseCases::Design::ChangeDesign.new(workspace).call(update) }
    expect(many.grep(/SELECT .* FROM "(members|titles|clays)"/).length).to be <= 4
  end

  it "come to the same where there are too many to hold, or to tell apart" do
    stub_const("UpTack::Store::LinkedRecords::MOST_HELD", 2)
    stub_const("UpTack::Store::RecordTable::BATCH", 3)
    stub_const("UpTack::Recalculation::Dirty::MOST", 1)
    save("titles", {"text" => "Prof"}, id: 1)
    expect((1..12).map { |id| rows("members").find(id)["address_as"] }.grep(/\AProf/)).to eq(
      ["Prof Ansa Velt", "Prof Fenna Aldersyke", "Prof Petra  Hollin"]
    )
    change(
      :PinRule,
      table: "clays",
      rule:
        workspace
          .table("clays")
          .calculation("pieces_made")
          .attributes
          .merge("formula" => "count(pieces where maker.title.text = \"prof\")")
    )
    counted = -> { (1..5).map { |id| rows("clays").find(id)["pieces_made"].to_i } }
    by_hand =
      lambda do
        profs = (1..12).select { |id| rows("members").find(id)["title"] == 1 }
        (1..5).map do |clay|
          (1..28).count do |id|
            rows("pieces").find(id).then { |piece| piece["clay"] == clay && profs.include?(piece["maker"]) }
          end
        end
      end
    first = counted.call
    expect(first).to eq(by_hand.call)
    save("pieces", {"clay" => 1}, id: 4)
    save("members", {"title" => 1}, id: 4)
    expect(counted.call).to eq(by_hand.call)
    expect(counted.call).not_to eq(first)
  end

  it "that new records begin with are passed over once their record is gone" do
    pinned =
      Core::Design::Changes::PinRule.new(
        table: "pieces",
        rule: {"kind" => "default", "field" => "clay", "value" => "Speckled oat"},
        records: workspace.context.records
      )
    UpTack::UseCases::Design::ChangeDesign.new(workspace).call(pinned)
    expect(save_piece(good_piece).record.values["clay"]).to eq(5)
    expect(UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: "clays", id: 5).state).to eq(:saved)
    answer = UpTack::UseCases::Records::AnswerDraft.new(workspace).call(table: "pieces", typed: good_piece, trace: true)
    expect(answer.outcome.steps.find { |step| step.key == "clay" }.how).to eq("the linked record was deleted")
    expect(save_piece(good_piece).record.values["clay"]).to be_nil
  end

  it "never pass off a field that was not read as blank" do
    _, row = rows("pieces").linked_after("maker", 2, 0, ["tag"]).first
    expect([row["tag"], row.fetch("weight", "none")]).to eq(["PC-00015", "none"])
    expect { row["piece"] }.to raise_error(KeyError)
  end

  it "name records by a field that is worked out when it is read" do
    change(:AddField, table: "clays", parts: {"label" => "Shown as", "type" => "text"})
    change(
      :PinRule,
      table: "clays",
      rule: {
        "kind" => "calculation",
        "field" => "shown_as",
        "formula" => "name & \" (\" & family & \", \" & count(pieces) & \")\"",
        "keeping" => "shown"
      }
    )
    change(:ChangeTable, table: "clays", parts: {"title" => "shown_as"})
    expect(workspace.context.records.title("clays", 3)).to eq("Brick red (Earthenware, 4)")
    expect(
      save("pieces", {"clay_family" => "Porcelain", "clay" => "snowfall (porcelain, 4)"}, id: 1).record.values[
        "clay"
      ]
    ).to eq(4)
    expect(UpTack::Store::NameSearch.new(workspace.plan("clays"), workspace.context).like("porc").map(&:title)).to eq(
      ["Snowfall (Porcelain, 5)"]
    )
  end

  describe "jobs" do
    it "tell their end: done, refused, or stopped" do
      done = UpTack::Jobs.start { |progress| progress.begin("Pieces", "Loss", 2) && progress.advance(2) || :result }
      failed = UpTack::Jobs.start { raise Core::Invalid, [Core::Problem.new(message: "No.")] }
      stopped = UpTack::Jobs.start { |progress| loop { progress.advance(0) } }
      stopped.progress.stop
      expect([done, failed, stopped].map { |job| job.wait(10) }).to eq([true, true, true])
      expect([done.error, failed.error.message, stopped.error.class, done.running?]).to eq(
        [nil, "No.", UpTack::Progress::Stopped, false]
      )
      expect([done.progress.field, done.progress.done, done.progress.total]).to eq(["Loss of Pieces", 2, 2])
      expect(UpTack::Jobs.find(done.id)).to be(done)
      stub_const("UpTack::Jobs::MEMORY", -1)
      UpTack::Jobs.start { :other }
      expect { UpTack::Jobs.find(done.id) }.to raise_error(UpTack::Store::NotFound)
    end
  end
end
