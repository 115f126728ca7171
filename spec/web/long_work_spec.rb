# frozen_string_literal: true

require "web_helper"

# Work that takes long is answered with a job. On a busy machine that is any work, so nobody may be told
# less then: at its end the job says what the answer would have said had it come at once.
RSpec.describe "Work that takes long" do
  include WebHelp

  may_take_long =
    WebHelp::DOCUMENT["paths"].values.flat_map(&:values).select { |each|
      each.is_a?(Hash) && each["responses"]&.key?("202")
    }

  # Each job is over when it is looked at, and yet was not when the answer was given.
  before do
    allow_any_instance_of(UpTack::Jobs::Job).to receive(:wait).and_wrap_original do |wait|
      wait.call(60)
      false
    end
  end

  # @return [Object, nil] what the job tells at its end
  def report_of(method, path, body = {})
    job = ask(method, path, body)
    expect([method, path, status]).to eq([method, path, 202]), job.inspect
    operation = operation_at(method.to_s, path)
    (@asked ||= Set.new) << operation["operationId"]
    job = ask(:get, "/api/jobs/#{job["id"]}")
    expect([method, path, job["state"]]).to eq([method, path, "done"]), job.inspect
    direct = operation["responses"].keys.find { |code| %w[200 201 204].include?(code) }
    schema = response_of(operation, direct).dig("content", "application/json", "schema")
    wrong = schema ? misfits(schema, job["report"]) : Array(job["report"])
    expect([method, path, wrong]).to eq([method, path, []])
    job["report"]
  end

  def design_tables
    expect(report_of(:post, "/api/tables", {label: "Glaze tests"})["key"]).to eq("glaze_tests")
    report_of(:patch, "/api/tables/glaze_tests", {note: "Test tiles."})
    report_of(:post, "/api/tables/glaze_tests/fields", {label: "Tile", type: "text"})
    report_of(:patch, "/api/tables/glaze_tests/fields/tile", {label: "Test tile"})
    report_of(:delete, "/api/tables/glaze_tests/fields/tile")
    report_of(:delete, "/api/tables/glaze_tests")
    report_of(:post, "/api/tables/pieces/details", {link: "maker", detail: "phone", copy: true})
    report_of(:patch, "/api/project/conventions", {decimal_mark: ",", group_mark: "."})
  end

  def design_rules
    rule = {kind: "required", field: "maker_note"}
    id = report_of(:post, "/api/tables/pieces/rules", rule)["rules"].last["id"]
    report_of(:put, "/api/tables/pieces/rules/#{id}", rule.merge(message: "Say something."))
    report_of(:delete, "/api/tables/pieces/rules/#{id}")
    expect(report_of(:post, "/api/design/undo")["summary"]).to be_a(String)
    expect(report_of(:post, "/api/design/redo")["summary"]).to be_a(String)
    revision = ask(:get, "/api/design/revisions").first
    report_of(:post, "/api/design/revisions/#{revision["id"]}/rules/#{id}/put-back")
    report_of(:post, "/api/design/revisions/#{revision["id"]}/put-back")
  end

  def design_more
    list = report_of(:post, "/api/lists", {name: "Shelves", values: %w[A B]}).last["id"]
    report_of(:put, "/api/lists/#{list}", {name: "Shelves", values: %w[A B C]})
    report_of(:delete, "/api/lists/#{list}")
    form = {name: "Desk", sections: [{label: "", items: [{field: "maker_note"}]}]}
    id = report_of(:post, "/api/tables/pieces/forms", form)["id"]
    expect(report_of(:put, "/api/tables/pieces/forms/#{id}", form)["id"]).to eq(id)
    report_of(:delete, "/api/tables/pieces/forms/#{id}")
    report_of(:post, "/api/tables/pieces/filters", {name: "Heavy", formula: "maker_note is not blank"})
    report_of(:delete, "/api/tables/pieces/filters/#{workspace.table("pieces").filters.last.id}")
    report_of(:post, "/api/project/bring-in", {file: custom_request("GET", "/api/project").body})
  end

  def prove
    proof = {name: "It saves", at: "2026-11-23T09:30", person_id: 1, acts: [], expect: [{what: "refused"}]}
    id = report_of(:post, "/api/tables/pieces/proofs", {proofs: [proof]})["ids"].first
    report_of(:put, "/api/tables/pieces/proofs/#{id}", proof)
    report_of(:delete, "/api/tables/pieces/proofs/#{id}")
    expect(report_of(:post, "/api/tables/members/samples", {count: 2, seed: 3})["made"]).to be_positive
    expect(report_of(:post, "/api/check")["findings"]).not_to be_empty
    expect(report_of(:post, "/api/space")["parts"]).not_to be_empty
    expect(report_of(:post, "/api/backups/prove")).to eq("proven" => nil)
    expect(report_of(:post, "/api/history/verify")["sound"]).to be(true)
  end

  def write_many
    draft = {typed: {name: "Moss", family: "Stoneware", limit: "1240", price: "1.20"}}
    expect(report_of(:post, "/api/tables/clays/batch", {records: [draft], keep: "all"})["results"].length).to eq(1)
    wish = {do: "change", keep: "all", ids: [1, 2], typed: {maker_note: "Seen."}}
    batch = report_of(:post, "/api/tables/pieces/bulk", wish)["batch"]
    expect(report_of(:post, "/api/history/batches/#{batch}/undo")["undone"]).to eq(2)
    report_of(:post, "/api/tables/members/suggestions/accept", {picked: nil})
    number = workspace.table("pieces").rules.find { |rule| rule.kind == "number" }
    expect(report_of(:post, "/api/tables/pieces/rules/#{number.id}/waiting", {order: ""})["given"]).to eq(0)
    custom_request("POST", "/api/imports?name=clays.csv", "Name;Family\nMoor;Stoneware\n",
      {"CONTENT_TYPE" => "application/octet-stream", "HTTP_X_WRITE_KEY" => @write_key})
    id = JSON.parse(last_response.body)["id"]
    expect(report_of(:post, "/api/imports/#{id}/look", {whole: true})).to include("whole" => true, "rows" => 1)
    expect(report_of(:post, "/api/tables/clays/import",
      {id: id, keep: "none", match: "name"})).to include("made", "report")
    write_tables
  end

  def write_tables
    sql = "CREATE TABLE shelves (name TEXT);INSERT INTO shelves VALUES ('A');"
    custom_request("POST", "/api/imports?name=a.sql", sql,
      {"CONTENT_TYPE" => "application/octet-stream", "HTTP_X_WRITE_KEY" => @write_key})
    file = JSON.parse(last_response.body)
    tables = report_of(:post, "/api/imports/#{file["id"]}/tables/look")["tables"]
    wish = tables.map { |table|
      fields = table["fields"].map { |field| field.slice("column", "key", "label", "type") }
      table.slice("number", "key", "label").merge("fields" => fields)
    }
    made = report_of(:post, "/api/imports/#{file["id"]}/tables", {tables: wish, keep: "all"})
    expect([made["batch"], made["tables"].map { |table| table["made"] }]).to match([be_a(Integer), [1]])
  end

  it "tells at its end what it would have told at once, whatever it is" do
    design_tables
    design_rules
    design_more
    prove
    write_many
    expect(may_take_long.map { |operation| operation["operationId"] } - @asked.to_a).to eq([])
  end

  it "names what is being written to those who may view it, and to nobody else" do
    change(:ChangeTable, table: "orders", parts: {"access" => {"clerk" => "nothing"}})
    orders = workspace.table("orders")
    UpTack::Store::Database.write do
      batch = UpTack::Store::Batch.begin(workspace, orders, "Imported from secret.csv")
      UpTack::Store::RunningBatch.begin(batch, 400).advance(100)
    end
    expect(ask(:get, "/api/work")["work"]).to match(
      [{"words" => "Odile Marsh is writing “Imported from secret.csv”", "percent" => 25, "seconds" => be_a(Integer)}]
    )
    job = ask(:post, "/api/tables/orders/fields", {label: "New", type: "text"})
    refused = ask(:get, "/api/jobs/#{job["id"]}")
    expect(refused).to include("code" => "being_written", "title" => match(/secret.csv”, 25 % done/))
    sign_in_as("Bram Tolley")
    expect(ask(:get, "/api/work")["work"].map { |each| each["words"] }).to eq(["Many records are being written"])
  end

  it "tells whoever asks what they may see, not what whoever began it may" do
    verdict = UpTack::Store::LogCheck::Verdict.new(
      sound: false, entries: 1, events: 0, broken: 4, faults: ["Entry 4 of Pieces was changed."], set_back: []
    )
    allow(UpTack::Work).to receive(:call).and_return(verdict)
    expect(report_of(:post, "/api/history/verify")["faults"]).to eq(["Entry 4 of Pieces was changed."])
    job = ask(:post, "/api/history/verify")
    sign_in_as("Bram Tolley")
    expect(ask(:get, "/api/jobs/#{job["id"]}")["report"]["faults"]).to eq([UpTack::Web::Render::Verdict::SILENT])
  end
end
