# frozen_string_literal: true

require "store_helper"

RSpec.describe "Typing it right, in the store" do
  def connection = UpTack::Store::Database.connection
  def stored(table, column, id) = connection.select_value("SELECT #{column} FROM #{table} WHERE id = #{id}")
  def call_use_case(name, **parts) = UpTack::UseCases.const_get(name).new(workspace).call(**parts)

  def preview(table, attributes, **more, &block) =
    UpTack::UseCases::Effects::PreviewRule.new(workspace).call(
      table: table,
      attributes: attributes.transform_keys(&:to_s),
      all: true,
      **more,
      &block
    )

  describe "a mask whose separators are not stored" do
    before do
      change(
        :PinRule,
        table: "pieces",
        rule:
          workspace
            .table("pieces")
            .rules
            .find { |rule| rule.kind == "mask" && rule.field == "shelf_code" }
            .attributes
            .merge("separators" => "drop")
      )
    end

    it "rewrites what is there, shows it with them, and finds it either way" do
      expect([stored("pieces", "shelf_code", 12), pieces.find(12)["shelf_code"]]).to eq(%w[RD407 RD-407])
      expect(save_piece({"shelf_code" => "xy001"}, id: 28).state).to eq(:saved)
      expect([stored("pieces", "shelf_code", 28), pieces.find(28)["shelf_code"]]).to eq(%w[XY001 XY-001])
      expect(pieces.having({"shelf_code" => "XY-001"})).to eq([28])
      page = call_use_case("Records::ListRecords", table: "pieces", filter: "shelf_code = \"XY-001\"")
      expect(page.records.map(&:id)).to eq([28])
      first = call_use_case("Records::ListRecords", table: "pieces", sort: "shelf_code", limit: 3)
      rest = call_use_case("Records::ListRecords", table: "pieces", sort: "shelf_code", limit: 3,
        cursor: first.following)
      expect((first.records + rest.records).map { |record| record.values["shelf_code"] }).to eq(
        call_use_case("Records::ListRecords", table: "pieces", sort: "shelf_code", limit: 6).records.map do |record|
          record.values["shelf_code"]
        end
      )
      expect(save_piece(good_piece.merge("shelf_code" => "XY 001")).outcome.refusals.map(&:message)).to eq(
        ["This shelf is taken. Choose another shelf, or collect the piece first."]
      )
    end

    it "puts them back by an undo" do
      design.undo
      expect(stored("pieces", "shelf_code", 12)).to eq("RD-407")
    end
  end

  it "keeps a choice on its list while records have it, and lets it retire" do
    expect {
      change(:ChangeField, table: "pieces", field: "verdict", parts: {"choices" => %w[Watertight Dense]})
    }.to raise_error(
      Core::Invalid,
      "6 records of Pieces have “Porous” as Verdict. Retire it instead: existing records keep it " \
        "and nobody can choose it for new ones."
    )
    change(
      :ChangeField,
      table: "pieces",
      field: "firing",
      parts: {"choices" => %w[Bisque Glaze Lustre Raku], "retired" => %w[Raku]}
    )
    list = workspace.project.lists.first
    expect {
      change(:SaveList, id: list.id, name: list.name, values: list.values - %w[Porcelain], retired: [])
    }.to raise_error(Core::Invalid, /Porcelain/)
    change(:SaveList, id: list.id, name: "Bodies", values: [*list.values, "Bone china"], retired: list.retired)
    expect(%w[clays pieces].map { |table| workspace.table(table).fields.find(&:list).choices.last }).to eq(
      ["Bone china", "Bone china"]
    )
    expect { change(:DeleteList, id: list.id) }.to raise_error(
      Core::Invalid,
      /is used by Clay family of Pieces, Family of Clays/
    )
  end

  it "offers the linked records and the choices that belong, to whatever was typed so far" do
    found = ->(typed) {
      call_use_case("Records::FindCandidates", table: "pieces", field: "clay", text: "", typed: typed).map(&:title)
    }
    expect(found.call({})).to eq(["Brick red", "Harbour stoneware", "Raku body", "Snowfall", "Speckled oat"])
    expect(found.call({"clay_family" => "porcelain"})).to eq(["Snowfall"])
    expect(found.call({"clay_family" => "porcelain", "clay" => 1})).to eq(["Snowfall"])
    change(
      :PinRule,
      table: "pieces",
      rule: {
        "kind" => "narrow",
        "field" => "stage",
        "by" => "firing",
        "map" => {"Bisque" => ["Drying", "Bisque fired"]}
      }
    )
    outcome =
      UpTack::UseCases::Records::AnswerDraft.new(workspace).call(table: "pieces", typed: {"firing" => "Bisque"}).outcome
    expect(UpTack::Services::OpenChoices.find(workspace.plan("pieces"), outcome)["stage"]).to eq(
      ["Drying", "Bisque fired"]
    )
  end

  it "finds names that changed a moment ago, those beside them too" do
    names = ->(text) do
      UpTack::Store::NameSearch.new(workspace.plan("members"), workspace.context).like(text).map(&:id)
    end
    expect([names.call("velt"), names.call("farrow 0163"), names.call("vel ans")]).to eq([[1, 6], [3], [1, 6]])
    UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "members", id: 6, typed: {"name" => "Ansa Brandt"})
    expect([names.call("velt"), names.call("brandt"), names.call("anſa Br")]).to eq([[1], [6], [6]])
    UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: "members", id: 12)
    expect(names.call("sunniva")).to eq([])
  end

  describe "effects" do
    it "come kind by kind, the worst first" do
      {
        {
          kind: "limits",
          field: "hold",
          high: "15"
        } => {
          "refused" => 13
        },
        {
          kind: "unique",
          field: "piece"
        } => {
          "refused" => 26
        },
        {
          kind: "length",
          field: "piece",
          most: 8
        } => {
          "refused" => 20
        },
        {
          kind: "mask",
          field: "received_by",
          mask: "1*20ALPHA \" \" 1*20ALPHA"
        } => {
          "same" => 28
        },
        {
          kind: "tidy",
          field: "piece",
          steps: [{"do" => "upper"}]
        } => {
          "changes" => 28
        },
        {
          kind: "lock",
          field: "stage",
          when: "stage = \"Collected\""
        } => {
          "locked" => 12
        },
        {
          kind: "copy",
          field: "received_by",
          formula: "maker.name"
        } => {
          "differs" => 28
        },
        {
          kind: "narrow",
          field: "stage",
          by: "firing",
          map: {
            "Bisque" => ["Drying"]
          }
        } => {
          "refused" => 11
        },
        {
          kind: "required",
          field: "shelf_code",
          when: "stage <> \"Collected\""
        } => {
          "passed" => 28
        },
        {
          kind: "exists",
          field: "received_by",
          target: "members",
          target_field: "name"
        } => {
          "refused" => 28
        },
        {
          kind: "fits",
          field: "tag",
          mask: "\"PC-\" 5DIGIT"
        } => {
          "passed" => 28
        }
      }.each do |attributes, wanted|
        found = preview("pieces", attributes)
        expect([attributes, found.problems.map(&:message), found.counts.slice(*wanted.keys)]).to eq(
          [attributes, [], wanted]
        )
        order = found.examples.map { |example| UpTack::UseCases::Effects::PreviewRule::ORDER.index(example[:verdict]) }
        expect(order).to eq(order.sort)
      end
    end

    it "come bit by bit, and add up" do
      stub_const("UpTack::UseCases::Effects::PreviewRule::INTERIM", 0)
      stub_const("UpTack::Store::RecordTable::BATCH", 10)
      seen = []
      last =
        preview("pieces", {kind: "limits", field: "hold", high: "15"}) do |so_far|
          seen << [so_far.looked_at, so_far.counts.values.sum]
        end
      expect([seen, last.looked_at]).to eq([[[10, 10], [20, 20], [28, 28]], 28])
    end

    it "are counted for old records that are let be, until somebody mends them" do
      rule = workspace.table("pieces").rules.find { |each| each.name == "not above the clay’s limit" }
      expect(call_use_case("Effects::CountExempt", table: "pieces")).to eq(rule.id => 4)
      expect(save_piece({"maker_note" => "x"}, id: 13).state).to eq(:saved)
      expect(save_piece({"peak" => "1001"}, id: 13).outcome.refusals.map(&:message)).to eq(
        ["Peak is above what Brick red can take: 990."]
      )
      expect(save_piece({"peak" => "990"}, id: 13).state).to eq(:saved)
      expect(call_use_case("Effects::CountExempt", table: "pieces")).to eq(rule.id => 3)
    end
  end

  it "writes into the log why a warning was passed" do
    refused = save_piece(good_piece.merge("clay_weight" => "5100", "wet_weight" => "5155"))
    warning = refused.outcome.refusals.first
    expect(warning).to have_attributes(passable: true, message: "More than 5 kg of clay in one piece? It says 5,100.")
    saved =
      UpTack::UseCases::Records::SaveRecord.new(workspace).call(
        table: "pieces",
        typed: good_piece.merge("clay_weight" => "5100", "wet_weight" => "5155"),
        reasons: {warning.rule => "A commission."}
      )
    expect(saved.state).to eq(:saved)
    expect(JSON.parse(UpTack::Store::Entry.last.passed)).to match(
      [hash_including("reason" => "A commission.", "rule" => warning.rule)]
    )
  end

  describe "names looked up in a change that is taken back" do
    def like(text) = UpTack::Store::NameSearch.new(workspace.plan("members"), workspace.context).like(text).map(&:id)

    it "are not remembered" do
      like("x")
      UpTack::Store::Database.write do
        UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "members", id: 3,
          typed: {"name" => "Nobody Yet"})
        expect(like("nobody")).to eq([3])
        raise ActiveRecord::Rollback
      end
      expect([like("nobody"), like("wilmet")]).to eq([[], [3]])
      UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "members", id: 4,
        typed: {"name" => "Isolde Marsh"})
      expect([like("isolde m"), like("penhurrow").length]).to eq([[4], 1])
    end
  end

  describe "a change of the design" do
    it "to a list foresees what it would lose, and keeps what is on it" do
      change(:SaveList, name: "Bodies", values: ["Brick red", "Snowfall"])
      list = workspace.project.lists.last
      losses =
        UpTack::UseCases::Design::PreviewLosses.new(workspace).call(
          table: "clays",
          field: "name",
          type: "choice",
          list: list.id
        )
      expect([losses.values, losses.kept, losses.examples.sort]).to eq(
        [3, 2, ["Harbour stoneware", "Raku body", "Speckled oat"]]
      )
      before = (1..5).map { |id| UpTack::Store::RecordTable.new(workspace.table("clays")).find(id)["name"] }
      change(:ChangeField, table: "clays", field: "name", parts: {"type" => "choice", "list" => list.id})
      now = -> { (1..5).map { |id| UpTack::Store::RecordTable.new(workspace.table("clays")).find(id)["name"] } }
      expect(now.call).to eq([nil, nil, "Brick red", "Snowfall", nil])
      design.undo
      expect(now.call).to eq(before)
    end

    it "to a day with its time keeps what can be read so, and comes back" do
      change(:AddField, table: "orders", parts: {"label" => "Fetched", "type" => "text"})
      {1 => "23 Nov 2026, 9:30", 2 => "soon", 3 => "2026-07-01T10:00:00Z"}.each do |id, text|
        UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "orders", id: id, typed: {"fetched" => text})
      end
      change(:ChangeField, table: "orders", field: "fetched", parts: {"type" => "moment"})
      orders = UpTack::Store::RecordTable.new(workspace.table("orders"))
      expect((1..3).map { |id| orders.find(id)["fetched"]&.iso8601 }).to eq(
        ["2026-11-23T09:30:00Z", nil, "2026-07-01T10:00:00Z"]
      )
      expect(columns("orders")["fetched"]).to start_with("datetime")
      page = call_use_case("Records::ListRecords", table: "orders", sort: "fetched", limit: 1)
      rest = call_use_case("Records::ListRecords", table: "orders", sort: "fetched", limit: 2, cursor: page.following)
      expect((page.records + rest.records).map(&:id)).to eq([3, 1, 2])
      if Core::Expression::Functions.all.key?("date")
        expect(
          call_use_case("Records::ListRecords", table: "orders",
            filter: "date(fetched) = date(\"2026-11-23\")").records.map(&:id)
        ).to eq([1])
      end
      design.undo
      expect(UpTack::Store::RecordTable.new(workspace.table("orders")).find(2)["fetched"]).to eq("soon")
    end

    it "brings a detail in right after its link, under a free name" do
      change(:AddLinkedField, table: "pieces", link: "maker", detail: "phone", copy: true)
      change(:AddLinkedField, table: "pieces", link: "maker", detail: "phone", copy: false)
      fields = workspace.table("pieces").fields.map(&:label)
      expect(fields[fields.index("Maker"), 3]).to eq(["Maker", "Maker: Phone 2", "Maker: Phone"])
      expect(save_piece({"maker" => 3}, id: 28).record.values).to include("maker_phone_2" => nil).or include(
             "maker_phone" => "01 555 0163"
           )
    end
  end
end
