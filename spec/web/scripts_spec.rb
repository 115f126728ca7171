# frozen_string_literal: true

require "web_helper"

RSpec.describe "The API for scripts" do
  include WebHelp

  before { sign_in_as("Odile Marsh") }

  def as_script(token) = {"HTTP_AUTHORIZATION" => "Bearer #{token}"}

  it "lets a script in by a token, in its role and until it ends" do
    made = ask(:post, "/api/tokens", {name: "Scale at the door", role: "clerk", days: 30})
    expect([status, made["token"]]).to match([201, /\Auptack_/])
    sign_nobody_in
    script = as_script(made["token"])
    record = ask(:post, "/api/tables/pieces/records", {typed: good_piece}, script)
    expect([status, UpTack::Store::Entry.last.person_name, UpTack::Store::Entry.last.way]).to eq(
      [201, "Odile Marsh", "api"]
    )
    expect([ask(:post, "/api/tables", {label: "Glazes"}, script), status].last).to eq(403)
    expect([ask(:post, "/api/tokens", {name: "More", role: "clerk", days: 3}, script), status].last).to eq(403)
    expect(ask(:get, "/api/tables/pieces/records/#{record["id"]}", nil, script)["id"]).to eq(record["id"])
    UpTack::Store::Token.update_all(ends_at: 1.minute.ago)
    expect([ask(:get, "/api/tables", nil, script), status].last).to eq(401)
    sign_in_as("Odile Marsh")
    expect(ask(:get, "/api/tokens").first).to include("name" => "Scale at the door", "over" => true)
    ask(:delete, "/api/tokens/#{made["id"]}")
    expect([status, ask(:get, "/api/tokens")]).to eq([204, []])
    sign_in_as("Hale Orrin")
    [
      {name: "", role: "reader", days: 1},
      {name: "x", role: "clerk", days: 1},
      {name: "x", role: "reader", days: 0},
      {name: "x", role: "king", days: 5}
    ].each { |parts| expect([ask(:post, "/api/tokens", parts), status].last).to eq(422), parts.to_s }
  end

  it "does a write once under its key, answers the same again, and lets what was refused be sent anew" do
    key = {"HTTP_IDEMPOTENCY_KEY" => "delivery-42"}
    refused = ask(:post, "/api/tables/pieces/records", {typed: good_piece.merge("wet_weight" => "1")}, key)
    expect([status, refused["code"], pieces.count]).to eq([422, "refused", 28])
    first = ask(:post, "/api/tables/pieces/records", {typed: good_piece}, key)
    second = ask(:post, "/api/tables/pieces/records", {typed: good_piece}, key)
    expect([status, second, pieces.count, last_response.headers["idempotency-replayed"]]).to eq(
      [201, first, 29, "true"]
    )
    expect(
      [ask(:post, "/api/tables/pieces/records", {typed: good_piece.merge("piece" => "Jug")}, key)["code"], status]
    ).to eq(["key_used", 422])
    done =
      ask(
        :post,
        "/api/tables/pieces/bulk",
        {do: "change", ids: [1, 2], typed: {maker_note: "Once"}, keep: "all"},
        {"HTTP_IDEMPOTENCY_KEY" => "bulk-1"}
      )
    expect(
      [
        ask(
          :post,
          "/api/tables/pieces/bulk",
          {do: "change", ids: [1, 2], typed: {maker_note: "Once"}, keep: "all"},
          {"HTTP_IDEMPOTENCY_KEY" => "bulk-1"}
        ),
        UpTack::Store::Batch.count
      ]
    ).to eq([done, 1])
    expect(
      [
        ask(:post, "/api/tables/pieces/records", {typed: good_piece}, {"HTTP_IDEMPOTENCY_KEY" => "ä" * 3}),
        status
      ].last
    ).to eq(400)
    sign_in_as("Bram Tolley")
    ask(:post, "/api/tables/pieces/records", {typed: good_piece}, key)
    expect([status, pieces.count]).to eq([201, 30])
  end

  it "serves its document and keeps backups" do
    expect(ask(:get, "/api/openapi.json")["paths"].keys).to include("/api/tables/{table}/batch")
    copy = ask(:post, "/api/backups", {})
    expect(ask(:get, "/api/backups")["backups"].map { |each| each["name"] }).to eq([copy["name"]])
    ask(:post, "/api/tables/pieces/records", {typed: good_piece})
    expect(ask(:post, "/api/backups/#{copy["name"]}/restore", {})["before"]).to end_with("-restore.sqlite3")
    expect([pieces.count, ask(:get, "/api/session")["code"]]).to eq([28, "signed_out"])
    sign_in_as("Odile Marsh")
    expect(ask(:put, "/api/backups/settings", {every: "week", hour: 3, keep: 5, days: 60})["settings"]).to include(
      "every" => "week"
    )
    expect([ask(:put, "/api/backups/settings", {every: "hourly"}), status].last).to eq(422)
    expect(ask(:get, "/api/backups/#{copy["name"]}")).to start_with("SQLite format 3")
    expect(ask(:post, "/api/check", {})["findings"].map { |each| each["sound"] }).to eq([true] * 5)
    expect([ask(:delete, "/api/backups/#{copy["name"]}"), status].last).to eq(204)
    expect([ask(:get, "/api/backups/nothing.sqlite3"), status].last).to eq(404)
  ensure
    FileUtils.rm_rf(File.join(StoreHelp::FOLDER, "backups"))
  end
end
