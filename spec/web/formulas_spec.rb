# frozen_string_literal: true

require "web_helper"

RSpec.describe "The HTTP API: formulas, links, filters and long work" do
  it "previews a calculation with before and after, the failing ones first, and a record that was asked for" do
    rule =
      workspace
        .table("pieces")
        .calculation("loss")
        .attributes
        .merge("formula" => "wet_weight / (fired_weight - wet_weight)")
    preview = ask(:post, "/api/tables/pieces/rules/preview", rule.merge(look_at: 2))
    expect(preview["counts"]).to eq({"failed" => 1, "blank" => 14, "changes" => 13})
    expect(preview["examples"].first).to include("id" => 5, "verdict" => "failed", "stored" => "0.0", "result" => "")
    expect(preview["examples"].first["how"]).to start_with("division by zero: ")
    expect(preview["looked"]).to include(
      "id" => 2,
      "verdict" => "changes",
      "stored" => "19.0",
      "result" => "-5.3",
      "how" => "235 ÷ (190.4 − 235)"
    )
    fleeting =
      ask(
        :post,
        "/api/tables/pieces/rules/preview",
        {kind: "calculation", field: "fired_weight", formula: "days(today(), received)", keeping: "always"}
      )
    expect(fleeting.values_at("fleeting", "pieces", "problems")).to eq([["`today()`"], nil, []])
    wrong =
      ask(
        :post,
        "/api/tables/pieces/rules/preview",
        {kind: "calculation", field: "maker_note", formula: "\"for \" & maker", keeping: "always"}
      )
    expect(wrong["problems"]).to eq(
      [
        {
          "part" => "formula",
          "message" => "`maker` is a link to Members; choose one of its fields, such as `maker.name`.",
          "from" => 9,
          "to" => 14
        }
      ]
    )
  end

  it "shows fields with where they link and how they are kept, and rules with what makes them change by themselves" do
    members = ask(:get, "/api/tables/members")
    expect(members["fields"].find { |field| field["key"] == "title" }).to include(
      "type_label" => "Link to Titles",
      "target" => "titles",
      "on_delete" => "refuse",
      "calculated" => nil,
      "kept" => true
    )
    expect(members["fields"].find { |field| field["key"] == "collected_7" }).to include(
      "calculated" => "always",
      "kept" => false
    )
    expect(members["rules"].find { |rule| rule["field"] == "collected_7" }).to include(
      "keeping" => "always",
      "fleeting" => ["`today()`"]
    )
    expect([members["title"], members["title_field"]]).to eq(%w[name name])
    record = ask(:get, "/api/tables/members/records/3")
    expect(record["texts"]).to include("title" => "Mx", "address_as" => "Mx Wilmet Farrow")
    expect(ask(:patch, "/api/tables/members", {title: "address_as"})["title_field"]).to eq("address_as")
    expect(ask(:get, "/api/tables/pieces/records/6")["texts"]["maker"]).to eq("Mx Wilmet Farrow")
  end

  it "names what formulas can name, finds records by words, and turns pieces into formulas and back" do
    names = ask(:get, "/api/names").to_h { |table| [table["key"], table] }
    expect(names["members"]["linked"]).to eq(
      [
        {"table" => "pieces", "link" => "maker", "path" => "pieces", "label" => "Pieces made"},
        {"table" => "orders", "link" => "member", "path" => "orders", "label" => "Orders"}
      ]
    )
    expect(names["pieces"]["fields"].find { |field| field["key"] == "maker" }).to include(
      "target" => "members",
      "type_label" => "Link to Members"
    )
    expect(
      ask(:get, "/api/tables/members/matches?text=VELT%20ans").map do |match|
        [match["id"], match["title"], match["details"].first]
      end
    ).to eq([[1, "Ansa Velt", "Ms"], [6, "Ansa Velt", "Dr"]])
    found =
      ask(:post, "/api/tables/pieces/formula", {formula: "stage = \"Drying\" and peak > 900", condition: true})
    expect(found).to include("problems" => [], "words" => "Stage = “Drying” and Peak °C > 900")
    expect(ask(:post, "/api/tables/pieces/pieces", {pieces: found["pieces"]})).to eq(
      {"formula" => "stage = \"Drying\" and peak > 900", "problem" => nil}
    )
    expect(ask(:post, "/api/tables/pieces/pieces", {pieces: {shape: "text", parts: [{field: ""}]}})).to eq(
      {"formula" => nil, "problem" => "Choose a field."}
    )
    expect(
      ask(:post, "/api/tables/pieces/formula", {formula: "peak", condition: true})["problems"].first["message"]
    ).to start_with("This must be yes or no")
    ask(:post, "/api/tables/pieces/pieces", {pieces: [1]})
    expect(status).to eq(400)
    expect(ask(:get, "/api/functions").map { |function| function["name"] }).to include("workdays", "sum", "changed")
  end

  it "lists by a filter, keeps it under a name, and follows a rename" do
    expect(
      ask(:get, "/api/tables/pieces/totals?filter=#{CGI.escape("maker.name = \"Teodor Quill\"")}").values_at(
        "matching",
        "total"
      )
    ).to eq([1, 28])
    expect(ask(:get, "/api/tables/pieces/records?filter=stage%20%3D")["mistakes"].first).to include(
      "part" => "filter",
      "from" => 7
    )
    kept =
      ask(:post, "/api/tables/pieces/filters", {name: "Hot ones", formula: "peak > clay.limit - 100"})[
        "filters"
      ].last
    expect(kept).to include("name" => "Hot ones")
    ask(:patch, "/api/tables/clays/fields/limit", {label: "Hottest"})
    expect(ask(:get, "/api/tables/pieces")["filters"].last["formula"]).to eq("peak > clay.hottest - 100")
    ask(:post, "/api/tables/pieces/filters", {name: "Bad", formula: "peak +"})
    expect(status).to eq(422)
    expect(ask(:delete, "/api/tables/pieces/filters/#{kept["id"]}")["filters"].map { |filter| filter["name"] }).to eq(
      ["Waiting to be collected"]
    )
    expect(ask(:delete, "/api/tables/pieces/filters/#{kept["id"]}")["title"]).to include("This view does not exist")
  end

  it "says what a deletion would do, and refuses one that other records stand against" do
    expect(ask(:get, "/api/tables/members/records/1/deletion")["reasons"].length).to eq(2)
    expect(ask(:delete, "/api/tables/members/records/1")).to include(
      "code" => "linked",
      "title" =>
        "Not deleted: other records link to it. 4 records in Pieces use it as Maker: PC-00001, " \
          "PC-00002, PC-00017 and 1 more. 2 records in Orders use it as Member: OR-2026-0001, " \
          "OR-2026-0002."
    )
    expect(ask(:get, "/api/tables/clays/records/3/deletion")).to eq(
      {"reasons" => [], "along" => [], "cleared" => [{"table" => "Pieces", "field" => "Clay", "count" => 4}]}
    )
    expect(ask(:get, "/api/tables/orders/losses")["rules"]).to eq(
      [
        "Members: Open orders € = sum of Amount € of Orders of this member where " \
          "Status = “Open”."
      ]
    )
    ask(:delete, "/api/tables/clays/records/3")
    expect([status, pieces.find(1)["clay"]]).to eq([204, nil])
  end

  it "goes on in the background where a change takes long, tells how far it is, and stops when asked" do
    go = Queue.new
    stub_const("UpTack::Web::Helpers::Background::PATIENCE", 0.01)
    allow(UpTack::Recalculation::Run).to receive(:new).and_wrap_original do |original, *arguments, **options|
      original
        .call(*arguments, **options)
        .tap { |made| allow(made).to receive(:run).and_wrap_original { |run, *rest| go.pop && run.call(*rest) } }
    end
    rule = workspace.table("pieces").calculation("loss").attributes.merge("formula" => "fired_weight")
    begun = ask(:put, "/api/tables/pieces/rules/#{rule["id"]}", rule)
    expect([status, begun["state"]]).to eq([202, "running"])
    stopping = Thread.new { UpTack::Jobs.find(begun["id"]).progress.stop.then { go << true } }
    expect(ask(:delete, "/api/jobs/#{begun["id"]}")["state"]).to eq("stopped")
    stopping.join
    expect(workspace.table("pieces").calculation("loss").attributes["formula"]).to start_with("(wet_weight")
    begun = ask(:put, "/api/tables/pieces/rules/#{rule["id"]}", rule)
    go << true
    UpTack::Jobs.find(begun["id"]).wait(10)
    expect([ask(:get, "/api/jobs/#{begun["id"]}")["state"], pieces.find(1)["loss"]]).to eq(
      ["done", pieces.find(1)["fired_weight"]]
    )
    ask(:get, "/api/jobs/none")
    expect(status).to eq(404)
  end
end
