# frozen_string_literal: true

require "store_helper"

RSpec.describe "Masks and choices, in the store" do
  def connection = UpTack::Store::Database.connection
  def stored(table, column, id) = connection.select_value("SELECT #{column} FROM #{table} WHERE id = #{id}")
  def call_use_case(name, **parts) = UpTack::UseCases.const_get(name).new(workspace).call(**parts)

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

  it "keeps a choice on its list while records have it, and can retire it" do
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

  it "offers the linked records and the choices that belong to what was typed so far" do
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
end
