# frozen_string_literal: true

require "web_helper"
require "support/processes"

RSpec.describe "Files over HTTP" do
  include WebHelp

  before { sign_in_as("Odile Marsh") }

  def bring(name, bytes)
    custom_request(
      "POST",
      "/api/imports?name=#{CGI.escape(name)}",
      bytes,
      {"CONTENT_TYPE" => "application/octet-stream", "HTTP_X_WRITE_KEY" => @write_key}
    )
    expect(status).to eq(201)
    JSON.parse(last_response.body)["id"]
  end

  # What comes of work that may be answered with a job.
  def done(path, body = {})
    answer = ask(:post, path, body)
    return answer unless status == 202

    Processes.until { (answer = ask(:get, "/api/jobs/#{answer["id"]}"))["state"] != "running" }
    answer.fetch("report", answer)
  end

  let(:csv) {
    "Name;Family;Limit °C;Price a kg " \
    "€\r\nMoor;Stoneware;1.240;1,20\r\nReed;Glass;1000;1,10\r\nBrick red;Earthenware;1000;x\r\n"
  }

  it "looks at a file, tries it, saves what passes, and hands the rest back to be mended" do
    id = bring("clays.csv", csv)
    look = ask(:post, "/api/imports/#{id}/look", {table: "clays"})
    expect(look).to include("format" => "csv", "delimiter" => ";", "encoding" => "UTF-8", "rows" => 3)
    expect(look["columns"].map { |column| column.values_at("field", "decimal") }).to include(%w[price ,], %w[limit ,])
    tried = ask(:post, "/api/tables/clays/import", {id: id, keep: "none", match: "name"})
    expect(tried).to include("made" => 1, "changed" => 0)
    expect(tried["report"]["refusals"].map { |each| [each["place"], each["refusals"].first["field"]] }).to eq(
      [[3, "family"], [4, "price"]]
    )
    done = ask(:post, "/api/tables/clays/import", {id: id, keep: "passing", match: "name"})
    expect(done["report"]).to include("saved" => 1, "refused" => 2, "batch" => be_a(Integer))
    text = ask(:get, "/api/imports/#{id}/refused").dup.force_encoding("UTF-8")
    expect(CSV.parse(text.delete_prefix("\uFEFF"), col_sep: ";").map { |row| [row.first, row.last] }).to match(
      [["Name", "Up Tack says (dates dmy / decimals comma)"], ["Reed", /Family/],
        ["Brick red", /Price.*“x” is not a number/]]
    )
    mended = bring("mended.csv", text.sub("Glass", "Porcelain").sub(";x;", ";0,80;"))
    expect(ask(:post, "/api/tables/clays/import", {id: mended, keep: "all", match: "name"})).to include(
      "made" => 1,
      "changed" => 1
    )
    expect(ask(:post, "/api/history/batches/#{done["report"]["batch"]}/undo", {})).to include("undone" => 1)
  end

  it "tells whoever can't make a table nothing of which names there are" do
    clays = []
    UpTack::Store::RecordTable.new(workspace.table("clays")).each { |_, row| clays << row["name"] }
    file = "Clay\n#{(clays * 2).join("\n")}\n"
    kinds = ["Odile Marsh", "Bram Tolley"].map do |name|
      sign_in_as(name)
      ask(:post, "/api/imports/#{bring("clay.csv", file)}/look", {})["proposed"].map { |each| each["type"] }
    end
    expect(kinds).to eq([["link"], ["text"]])
  end

  it "says which texts are no choices yet, to those who may see the field" do
    change(:AddTable, label: "Tiles")
    change(:AddField, table: "tiles", parts: {"label" => "Glaze", "type" => "choice", "choices" => %w[Shino]})
    texts = ["Shino", "shino", "Salt", "salt ", "Ash", "", "x" * 90]
    id = bring("tiles.csv", "Name,Glaze\n#{texts.each_with_index.map { |text, n| "T#{n},#{text}" }.join("\n")}\n")
    report = ask(:post, "/api/tables/tiles/import", {id: id, keep: "none"})["report"]
    expect(report["not_choices"]).to eq([{"field" => "glaze", "texts" => %w[Salt Ash]}])
    ask(:patch, "/api/tables/tiles/fields/glaze", {choices: %w[Shino Salt Ash]})
    again = ask(:post, "/api/tables/tiles/import", {id: id, keep: "none"})["report"]
    expect(again).to include("refused" => 1, "not_choices" => [])
    drafts = [{typed: {name: "T", glaze: "Tin"}}]
    expect(ask(:post, "/api/tables/tiles/batch",
      {records: drafts})["report"]["not_choices"].first["texts"]).to eq(["Tin"])
  end

  it "makes a table of a file, with the rules that the builder left" do
    id =
      bring(
        "visits.csv",
        "Name,Day,Guests,Paid\n" +
          (1..12)
            .map { |n| "V-#{n.to_s.rjust(3, "0")},#{n}/3/2026,#{n % 4},#{(n % 3 == 0) ? "no" : "yes"}" }
            .join("\n") + "\n31/3\n"
      )
    proposed = ask(:post, "/api/imports/#{id}/look", {})["proposed"]
    expect(proposed.map { |each| each.values_at("label", "type") }).to eq(
      [%w[Name text], %w[Day text], %w[Guests number], %w[Paid yes_no]]
    ).or eq([%w[Name text], %w[Day date], %w[Guests number], %w[Paid yes_no]])
    fields =
      proposed.map do |each|
        {
          label: each["label"],
          type: each["type"],
          choices: each["choices"],
          rules: each["rules"].map { |rule| rule["parts"] }
        }.compact
      end
    expect(ask(:post, "/api/imports/table", {label: "Visits", fields: fields})["fields"].length).to eq(4)
    expect([ask(:post, "/api/imports/table", {label: "", fields: fields}), status].last).to eq(422)
  end

  it "refuses what is no table with words, and shows nobody else's files" do
    {
      "a.xlsx" => "hello",
      "b.csv" => "%PDF-1.7",
      "c.json" => '[{"a":1},',
      "d.csv" => "a,b\n1,\"2",
      "e.csv" => "\0\0\0\0"
    }.each do |name, bytes|
      id = bring(name, bytes)
      looked = ask(:post, "/api/imports/#{id}/look", {table: "clays"})
      expect([status, looked["title"]]).to match([422, /#{name}/])
    end
    id = bring("clays.csv", csv)
    [
      {columns: [{column: "Name", field: "nothing"}]},
      {match: "limit", columns: [{column: "Limit °C", field: nil}]},
      {keep: "some"},
      {columns: [{column: "Name", dates: "xyz"}]}
    ].each do |parts|
      expect([ask(:post, "/api/tables/clays/import", {id: id, keep: "none"}.merge(parts)), status].last).to eq(422),
        parts.to_s
    end
    sign_in_as("Bram Tolley")
    expect([ask(:post, "/api/imports/#{id}/look", {table: "clays"}), status].last).to eq(404)
  end

  it "hands out what a view shows, whole tables and schemas, and only what somebody may see" do
    csv =
      ask(
        :get,
        "/api/tables/pieces/export.csv?filter=fragile&sort=-wet_weight&fields=tag,wet_weight"
      ).dup.force_encoding("UTF-8")
    expect(CSV.parse(csv.delete_prefix("\uFEFF")).first).to eq(["Tag", "Wet weight g"])
    expect(last_response.headers["Content-Disposition"]).to include("Pieces.csv")
    expect(ask(:get, "/api/tables/pieces/export.json").length).to eq(28)
    expect(ask(:get, "/api/tables/pieces/export.jsonl?filter=peak%20%3E%201200").length).to be > 0
    expect(ask(:get, "/api/tables/pieces/export.xlsx")).to start_with("PK")
    expect(ask(:get, "/api/tables/clays/schema.json")["required"]).to eq(["name"])
    ask(:get, "/api/project")["tables"].each do |table|
      schema = JSONSchemer.schema(ask(:get, "/api/tables/#{table["key"]}/schema.json"))
      values = ask(:get, "/api/tables/#{table["key"]}/records?limit=500")["records"].map { |record| record["values"] }
      expect(values.flat_map { |each| schema.validate(each).map { |error| error["error"] } }).to eq([]), table["key"]
    end
    expect([ask(:get, "/api/export.sql"), ask(:get, "/api/export.sqlite3"), ask(:get, "/api/export.zip")]).to match(
      [/CREATE TABLE/, /\ASQLite format 3/n, /\APK/n]
    )
    expect([ask(:get, "/api/tables/pieces/export.csv?filter=peak%20%3E"), status].last).to eq(422)
    sign_in_as("Hale Orrin")
    expect([ask(:get, "/api/export.sql"), status].last).to eq(403)
  end

  it "makes the tables of a file with their records, and hands out the rows that it refused" do
    id = bring("club.sql", File.read(UpTack::Installation.path("demo", "imports", "kiln_club.sql")))
    look = done("/api/imports/#{id}/tables/look")
    expect(look["tables"].map { |table| table.values_at("key", "rows") }).to eq([["potters", 5], ["courses", 3],
      ["bookings", 6]])
    tables = look["tables"].map do |table|
      fields = table["fields"].map { |field|
        rules = field["rules"].reject { |rule| rule["doubtful"] }.map { |rule| rule["parts"] }
        field.except("rules", "samples").merge("rules" => rules)
      }
      {**table.slice("number", "key", "label"), "fields" => fields, "rules" => table["rules"].map { |each|
        each["parts"]
      }}
    end
    tables[1]["fields"][3]["rules"] = [{"kind" => "limits", "high" => "5"}]
    tried = done("/api/imports/#{id}/tables", {tables: tables, keep: "none"})
    expect(tried["tables"].map { |table| table.values_at("made", "refused") }).to eq([[5, 0], [1, 2], [2, 4]])
    expect(tried["batch"]).to be_nil
    expect(ask(:get, "/api/tables").map { |table| table["key"] }).not_to include("potters")
    refused = ask(:get, "/api/imports/#{id}/refused?part=1")
    expect(refused.map { |row| row["code"] }).to eq(%w[W-101 W-102])
    made = done("/api/imports/#{id}/tables", {tables: tables, keep: "passing"})
    expect(ask(:get, "/api/tables/bookings/records")["records"].length).to eq(2)
    expect(done("/api/history/batches/#{made["batch"]}/undo")["undone"]).to be >= 8
    unknown = done("/api/imports/#{id}/tables", {tables: [tables[0].merge("number" => 9)], keep: "all"})
    expect([status, unknown["title"]]).to match([422, /no table of this file/])
    done("/api/imports/#{id}/tables", {tables: [tables[0].merge("key" => "pieces")], keep: "all"})
    expect(status).to eq(422)
    sign_in_as("Bram Tolley")
    ask(:post, "/api/imports/#{id}/tables/look")
    expect(status).to eq(403)
  end
end
