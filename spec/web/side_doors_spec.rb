# frozen_string_literal: true

require "web_helper"

# Doors that nobody looks at: characters that are no text, guards of exported cells, other people's work.
RSpec.describe "Side doors, over HTTP" do
  include WebHelp

  before { sign_in_as("Odile Marsh") }

  it "are shut to characters that are no text, in addresses, questions and days" do
    [
      [:get, "/api/tables/pieces/records?filter=piece%20%3D%20%22a%00b%22"],
      [:get, "/api/tables/pieces/records?sort=%00"],
      [:get, "/api/tables/pieces/matches?text=%00"],
      [:get, "/api/tables/pi%00eces/records"],
      [:post, "/api/imports/a%00b/look", {}],
      [:get, "/api/tables/pieces/records?filter=%FF%FE"],
      [:post, "/api/tables/pieces/trial", {typed: {}, at: "2026-\u0000-01"}],
      [:post, "/api/tables/pieces/trial", {typed: {}, at: "\u0000"}],
      [:post, "/api/tables/pieces/trial", {typed: {}, at: {"a" => 1}}],
      [:get, "/api/tables/pieces/records?filter[a]=1"],
      [:get, "/api/tables/pieces/records?limit[]=1"]
    ].each do |method, path, body|
      ask(method, path, body)
      expect(status).to be_between(200, 499), "#{method} #{path} #{body} answered #{status}"
    end
  end

  it "make cells harmless that a spreadsheet may take for formulas, and take them in again as they were" do
    texts = ["=1+1", " =1+1", "＝1+1", "\t=1", "'=1", "-5 °C", "＠here", " plain"]
    ids = texts.map { |text| save_piece(good_piece.merge("piece" => "Mug", "maker_note" => text)).record.id }
    body =
      ask(:get, "/api/tables/pieces/export.csv?fields=tag,maker_note")
        .dup
        .force_encoding("UTF-8")
        .delete_prefix("\uFEFF")
    cells = CSV.parse(body, headers: true).map { |row| row[1] }.last(ids.length)
    expect(cells.map { |cell| cell.match?(/\A[[:space:]]*[=+\-@＝＋－＠]/) }).to all(be(false))
    expect(
      cells
        .zip(ids)
        .map { |cell, id| (pieces.find(id)["maker_note"] == cell) || cell == "'#{pieces.find(id)["maker_note"]}" }
    ).to all(be(true))
  end

  it "lets a clerk take back only what they changed themselves, and see only their own long work" do
    batch =
      ask(
        :post,
        "/api/tables/pieces/bulk",
        {do: "change", keep: "all", ids: [1, 2], typed: {maker_note: "Seen."}}
      )[
        "batch"
      ]
    job = UpTack::Jobs.start(owner: person("Odile Marsh").id) { |_| :done }
    sign_in_as("Bram Tolley")
    expect([ask(:post, "/api/history/batches/#{batch}/undo"), status].last).to eq(403)
    expect([ask(:get, "/api/jobs/#{job.id}"), status].last).to eq(404)
    expect(pieces.find(1)["maker_note"]).to eq("Seen.")
    own =
      ask(
        :post,
        "/api/tables/pieces/bulk",
        {do: "change", keep: "all", ids: [1, 2], typed: {maker_note: "Mine."}}
      )[
        "batch"
      ]
    undo = -> { ask(:post, "/api/history/batches/#{own}/undo").values_at("undone", "left") }
    change = ->(id, note) { ask(:patch, "/api/tables/pieces/records/#{id}", {typed: {maker_note: note}}) }
    marked = -> { UpTack::Store::Batch.find(own).undone? }
    [1, 2].each { |id| change.call(id, "Later.") }
    count = UpTack::Store::Batch.count
    # What undid nothing leaves nothing, and what is left can be taken back later.
    expect([undo.call, status, UpTack::Store::Batch.count, marked.call]).to eq([[nil, nil], 422, count, false])
    change.call(1, "Mine.")
    expect([undo.call, marked.call, pieces.find(1)["maker_note"]]).to eq([[1, 1], false, "Seen."])
    change.call(2, "Mine.")
    change.call(1, "Mine.")
    expect([undo.call, marked.call, pieces.find(2)["maker_note"]]).to eq([[2, 0], true, "Seen."])
    expect([undo.call, status]).to eq([[nil, nil], 422])
  end
end
