# frozen_string_literal: true

require "web_helper"

RSpec.describe "The HTTP API" do
  it "says who acts" do
    expect(ask(:get, "/api/session")).to include("person" => a_hash_including("name" => "Odile Marsh"), "undo" => nil)
    sign_in_as("Bram Tolley")
    expect(ask(:get, "/api/session")["person"]["name"]).to eq("Bram Tolley")
    record = ask(:post, "/api/tables/pieces/records", {typed: good_piece})
    expect(record["texts"]).to include("received_by" => "Bram Tolley", "wet_weight" => "695")
  end

  it "makes, shows, renames and deletes tables" do
    made = ask(:post, "/api/tables", {label: "Glazes", one: "Glaze"})
    expect([status, made["key"], made["fields"].map { |field| field["label"] }]).to eq([201, "glazes", ["Name"]])
    expect(ask(:get, "/api/tables").map { |table| table["label"] }).to eq(
      ["Members", "Pieces", "Clays", "Orders", "Order lines", "Titles", "Firings", "Glazes"]
    )
    expect(ask(:patch, "/api/tables/glazes", {label: "Our glazes"})["key"]).to eq("our_glazes")
    ask(:delete, "/api/tables/our_glazes")
    expect(status).to eq(204)
    ask(:get, "/api/tables/our_glazes")
    expect(status).to eq(404)
    expect(ask(:get, "/api/session")["undo"]).to eq("Table Our glazes deleted")
    expect(ask(:delete, "/api/tables/clays")["title"]).to eq(
      "Clay of Pieces links to Clays. Delete it or change its link first."
    )
  end

  it "adds, changes, moves and deletes fields, and undoes it" do
    table =
      ask(
        :post,
        "/api/tables/pieces/fields",
        {label: "Glaze", type: "choice", choices: %w[Celadon Tenmoku], position: 1}
      )
    expect(table["fields"][1]).to include("key" => "glaze", "choices" => %w[Celadon Tenmoku])
    expect(ask(:patch, "/api/tables/pieces/fields/glaze", {position: 0})["fields"].first["key"]).to eq("glaze")
    expect(
      ask(:patch, "/api/tables/pieces/fields/glaze", {label: "Outer glaze", note: "Outside only"})["fields"].first
    ).to include("key" => "outer_glaze", "note" => "Outside only")
    expect(ask(:get, "/api/tables/pieces/fields/tare/losses")).to include("values" => 28)
    expect(ask(:get, "/api/tables/pieces/fields/tag/losses?type=date")).to include("values" => 28, "kept" => 0)
    ask(:delete, "/api/tables/pieces/fields/outer_glaze")
    expect(ask(:post, "/api/design/undo", {})["summary"]).to eq("Field Outer glaze of Pieces deleted")
    expect(ask(:post, "/api/design/redo", {})["summary"]).to eq("Field Outer glaze of Pieces deleted")
    first = ask(:get, "/api/design/revisions").last
    expect(ask(:post, "/api/design/revisions/#{first["id"]}/put-back", {})["summary"]).to eq(
      "Ember Lane Kiln Share was set up"
    )
    expect(ask(:get, "/api/design/revisions").map { |revision| revision["action"] }.first(3)).to eq(
      ["put back", "redo", "undo"]
    )
  end

  it "previews, pins, changes and takes off rules" do
    rule = {kind: "check", field: "hold", formula: "hold <= 60", message: "An hour at most."}
    expect(ask(:post, "/api/tables/pieces/rules/preview", rule)).to include(
      "counts" => {"passed" => 27, "refused" => 1},
      "problems" => []
    )
    expect(
      ask(:post, "/api/tables/pieces/rules/preview", rule.merge(formula: "hold <= ")).dig("problems", 0)
    ).to include("part" => "formula", "from" => 8)
    pinned = ask(:post, "/api/tables/pieces/rules", rule)["rules"].last
    expect(pinned).to include("tack" => "at most 60", "message" => "An hour at most.", "stage" => "validate")
    changed = ask(:put, "/api/tables/pieces/rules/#{pinned["id"]}", rule.merge(formula: "hold < peak"))["rules"].last
    expect(changed).to include("id" => pinned["id"], "fields" => %w[hold peak])
    expect(
      ask(:delete, "/api/tables/pieces/rules/#{pinned["id"]}")["rules"].map { |each| each["id"] }
    ).not_to include(pinned["id"])
    ask(:put, "/api/tables/pieces/rules/#{pinned["id"]}", rule)
    expect(status).to eq(404)
  end

  it "lists, shows, drafts, saves, changes and deletes records" do
    page = ask(:get, "/api/tables/pieces/records?sort=-wet_weight,piece&limit=3&fields=piece,wet_weight")
    expect(page["records"].first["values"].keys).to eq(%w[piece wet_weight])
    following = ask(:get, "/api/tables/pieces/records?sort=-wet_weight,piece&limit=3&cursor=#{page["following"]}")
    expect([ask(:get, "/api/tables/pieces/records?sort=piece&cursor=#{page["following"]}"), status].last).to eq(422)
    expect(ask(:get, "/api/tables/pieces/records?sort=-wet_weight,piece&at=3&limit=3")["records"]).to eq(
      following["records"]
    )
    expect(ask(:get, "/api/tables/pieces/totals?fields=clay_weight,received,piece")).to include(
      "total" => 28,
      "matching" => 28
    )
    expect(following["records"].first["values"]["wet_weight"].to_f).to be <=
      page["records"].last["values"]["wet_weight"].to_f
    draft = ask(:post, "/api/tables/pieces/draft", {typed: {clay_weight: 640, wet_weight: "700"}})
    expect(draft["fields"]["collect_by"]).to include("source" => "rule", "words" => "Received + 14")
    expect(draft["messages"].map { |message| message["field"] }).to eq(%w[piece maker wet_weight])
    record =
      ask(:post, "/api/tables/pieces/records", {typed: good_piece.merge("clay_weight" => 640.0, "fragile" => true)})
    expect([status, record["values"].slice("clay_weight", "fragile")]).to eq(
      [201, {"clay_weight" => "640", "fragile" => true}]
    )
    changed =
      ask(
        :patch,
        "/api/tables/pieces/records/#{record["id"]}",
        {typed: {maker_note: "Thin"}, version: record["version"]}
      )
    expect(changed["version"]).to be > record["version"]
    conflict =
      ask(
        :patch,
        "/api/tables/pieces/records/#{record["id"]}",
        {typed: {maker_note: "Thick"}, version: record["version"]}
      )
    expect(
      [status, conflict["code"], conflict["theirs"].first["changes"].first["after"], conflict["record"]["version"]]
    ).to eq([409, "changed_meanwhile", "Thin", changed["version"]])
    ask(:delete, "/api/tables/pieces/records/#{record["id"]}?version=#{record["version"]}")
    expect(status).to eq(409)
    ask(:delete, "/api/tables/pieces/records/#{record["id"]}")
    expect(status).to eq(204)
    history = ask(:get, "/api/history?table=pieces&record=#{record["id"]}")["entries"]
    expect(history.map { |entry| entry["action"] }).to eq(%w[delete update create])
    expect(history.last["changes"].find { |change| change["key"] == "collect_by" }["rule"]).to eq(
      "Collect by is calculated once as Received + 14."
    )
  end

  it "refuses a record with every message at its field, and what was typed" do
    problem =
      ask(
        :post,
        "/api/tables/pieces/records",
        {typed: {wet_weight: "-1", received: "31 Feb", maker_note: "kept"}}
      )
    expect([status, problem["title"]]).to eq([422, "Not saved: 4 problems."])
    expect(problem["answer"]["messages"].map { |message| message["field"] }).to eq(
      %w[piece maker wet_weight received]
    )
    expect(problem["answer"]["fields"]).to include(
      "received" => a_hash_including("text" => "31 Feb", "source" => "unreadable"),
      "maker_note" => a_hash_including("text" => "kept")
    )
  end

  it "tries a record as anybody, on any day, and writes nothing" do
    counts = -> { [UpTack::Store::Entry.count, UpTack::Store::Revision.count, pieces.count] }
    before = counts.call
    trial = ask(:post, "/api/tables/pieces/trial", {typed: good_piece, person_id: 3, at: "29 feb 2028 7:05"})
    expect(trial).to include("would_save" => true, "clock" => "2028-02-29T07:05")
    expect(trial["fields"]["received_by"]["value"]).to eq("Senna Whitlock")
    expect(trial["steps"].map { |step| step["stage"] }.uniq).to eq(
      %w[typed default mask fill calculate number validate log]
    )
    expect(ask(:post, "/api/tables/pieces/trial", {typed: {}, copy_of: 14})["fields"]["hold"]["value"]).to eq("90")
    expect(
      ask(:post, "/api/tables/pieces/trial", {typed: {hold: "91"}, id: 14})["messages"].first["message"]
    ).to include("90 minutes")
    expect(counts.call).to eq(before)
    expect(ask(:post, "/api/tables/pieces/trial", {typed: {}, at: "30 feb"})["title"]).to start_with(
      "30 February 2026 is not"
    )
    expect(ask(:post, "/api/tables/pieces/trial", {typed: {}, at: "1/1/2026 25:00"})["title"]).to eq(
      "Not a valid date and time: 25:00."
    )
  end

  it "says of each write whether it is done once under a name, as it is" do
    guard = UpTack::Web::Guard::Idempotency
    WebHelp::DOCUMENT["paths"].each do |path, item|
      item.slice(*guard::METHODS.map(&:downcase)).each do |method, operation|
        told = operation["parameters"].to_a.any? { |each| each["$ref"].to_s.end_with?("/idempotencyKey") }
        expect([method, path, told]).to eq([method, path, !guard::APART.match?(path.gsub(/\{\w+\}/, "x"))])
      end
    end
  end

  it "gives help on every function, and its own document" do
    expect(ask(:get, "/api/functions").map { |function| function["name"] }).to include("upper", "edate", "coalesce")
    get "/api/openapi.yaml"
    expect(YAML.safe_load(last_response.body)["openapi"]).to eq("3.1.0")
  end

  it "is described by a sound OpenAPI document that has every route" do
    expect(WebHelp::OPENAPI).to be_valid
    routes =
      UpTack::Web::Application.routes.flat_map do |method, list|
        list.map { |route| [method.downcase, route.first.to_s] }
      end
    routes =
      routes
        .select { |method, path| path.start_with?("/api/") && method != "head" }
        .map { |method, path| [method, path.gsub(/:(\w+)/, "{}").sub("/revisions/{}/", "/revisions/{}/")] }
    described =
      WebHelp::DOCUMENT["paths"].flat_map do |path, operations|
        operations.keys.grep_v("parameters").map { |method| [method, path.gsub(/\{\w+\}/, "{}")] }
      end
    expect(routes).to match_array(described)
  end
end
