# frozen_string_literal: true

require "web_helper"

RSpec.describe "The pages that the application serves" do
  it "gives the interface for every address of its own" do
    ["/", "/t/pieces/rules", "/t/pieces/forms/3", "/anything"].each do |path|
      get path
      expect([path, last_response.status, last_response.media_type]).to eq([path, 200, "text/html"])
      expect(last_response.body).to include("<div id=\"root\">")
    end
  end

  it "ships its scripts, styles, fonts and mark, and names no other host for them" do
    get "/"
    assets = last_response.body.scan(/(?:src|href)="([^"]+)"/).flatten
    expect(assets).to all(start_with("/"))
    assets.each do |path|
      get path
      expect([path, last_response.status]).to eq([path, 200])
    end
    styles = Dir[File.join(UpTack::Web::Helpers::Assets::FOLDER, "assets", "*.css")].map { |file| File.read(file) }.join
    fonts = styles.scan(/url\(([^)]+)\)/).flatten
    expect(fonts).not_to be_empty
    expect(fonts).to all(
      start_with("/assets/").or(start_with("./")).or(start_with("data:image/svg")).or(start_with("\"data:image/svg"))
    )
  end

  it "sends scripts as they were compressed when they were built, to be kept for good" do
    folder = UpTack::Web::Helpers::Assets::FOLDER
    script = Dir[File.join(folder, "assets", "index-*.js")].first
    read = {
      "br, gzip" => ["br", ->(body) { body == File.binread("#{script}.br") }],
      "gzip" => ["gzip", ->(body) { Zlib.gunzip(body) == File.binread(script) }],
      "br;q=0, gzip;q=0.5" => ["gzip", ->(body) { Zlib.gunzip(body) == File.binread(script) }],
      "identity" => [nil, ->(body) { body == File.binread(script) }]
    }
    read.each do |accepted, (encoding, same)|
      get script.delete_prefix(folder), {}, "HTTP_ACCEPT_ENCODING" => accepted
      headers = last_response.headers
      expect([accepted, headers["Content-Encoding"], same.call(last_response.body.b)]).to eq([accepted, encoding, true])
      expect(headers).to include("Content-Type" => start_with("text/javascript"), "Vary" => "Accept-Encoding")
      expect(headers["Cache-Control"].split(", ")).to contain_exactly("public", "immutable", "max-age=31536000")
    end
    get "#{script.delete_prefix(folder)}.br"
    expect(last_response.media_type).to eq("text/html")
  end

  it "compresses large answers, and sends nothing again to whoever has it" do
    get "/api/tables/pieces", {}, "HTTP_ACCEPT_ENCODING" => "gzip"
    whole = Zlib.gunzip(last_response.body.b)
    expect([last_response.headers["Content-Encoding"], JSON.parse(whole)["key"]]).to eq(%w[gzip pieces])
    tag = last_response.headers["ETag"]
    get "/api/tables/pieces", {}, "HTTP_IF_NONE_MATCH" => tag
    expect([last_response.status, last_response.body]).to eq([304, ""])
    change(:ChangeField, table: "pieces", field: "stage", parts: {"label" => "State"})
    get "/api/tables/pieces", {}, "HTTP_IF_NONE_MATCH" => tag
    expect([last_response.status, last_response.body.include?("State")]).to eq([200, true])
    get "/api/session", {}, "HTTP_ACCEPT_ENCODING" => "gzip"
    expect(last_response.headers).not_to include("Content-Encoding")
  end

  it "keeps answers of the API out of caches, and everything under a strict policy" do
    get "/api/tables"
    expect(last_response.headers["Cache-Control"]).to include("no-store")
    expect(last_response.headers["Content-Security-Policy"]).to include("default-src 'none'").and include(
            "frame-ancestors 'none'"
          )
    expect(last_response.headers).to include(
      "X-Content-Type-Options" => "nosniff",
      "X-Frame-Options" => "DENY",
      "Referrer-Policy" => "same-origin"
    )
    nonces = Array.new(2) { get("/") && last_response.headers["Content-Security-Policy"][/'nonce-([^']+)'/, 1] }
    expect(last_response.body).to include(nonces.last)
    expect([nonces.uniq.length, last_response.headers["Content-Security-Policy"]]).to match(
      [2, /script-src 'self'; style-src-elem 'self' 'nonce/]
    )
  end

  it "tells in the session what an undo would take back, and what could be done again" do
    expect(ask(:get, "/api/session").values_at("undo", "redo")).to eq([nil, nil])
    ask(:post, "/api/tables/pieces/fields", {label: "Glaze", type: "text"})
    expect(ask(:get, "/api/session").values_at("undo", "redo")).to eq(["Field Glaze added to Pieces", nil])
    ask(:post, "/api/design/undo", {})
    expect(ask(:get, "/api/session").values_at("undo", "redo")).to eq([nil, "Field Glaze added to Pieces"])
    expect(ask(:post, "/api/design/undo", {})["summary"]).to be_nil
  end

  it "shows a log entry by the names of today, and of then where something is gone" do
    change(:ChangeField, table: "pieces", field: "stage", parts: {"label" => "State"})
    save_piece({"state" => "Bisque fired"}, id: 25)
    entry = ask(:get, "/api/history?table=pieces")["entries"].first
    expect(entry["changes"].first(1)).to eq(
      [
        {
          "field" => "State",
          "id" => "f35",
          "key" => "state",
          "back" => true,
          "before" => "Drying",
          "after" => "Bisque fired",
          "rule" => nil
        }
      ]
    )
    change(:RemoveField, table: "pieces", field: "state")
    entry = ask(:get, "/api/history?table=pieces")["entries"].first
    expect(entry["changes"].first.values_at("field", "key")).to eq(["State", nil])
    change(:RemoveTable, table: "pieces")
    entry = ask(:get, "/api/history")["entries"].first
    expect(entry.values_at("table", "table_label", "exists")).to eq([nil, "a deleted table", false])
  end
end
