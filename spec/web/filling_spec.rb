# frozen_string_literal: true

require "web_helper"

RSpec.describe "The HTTP API: decision tables, forms and the map" do
  let(:programme) { workspace.table("pieces").rules.find { |rule| rule.kind == "decision" } }
  let(:reception) { workspace.table("pieces").forms.first }

  def post(path, body) = ask(:post, "/api/tables/pieces/#{path}", body)

  def refused(code)
    expect(status).to eq(code), "#{status}: #{last_response.body[0, 300]}"
    expect(JSON.parse(last_response.body)["title"]).to match(/\S+ \S+/)
  end

  it "reads a pasted block, reviews a table as a whole and writes it out" do
    read = post("decisions/read", {text: "Firing;→ Peak °C\nBisque;1.000\n"})
    expect(read).to eq(
      "columns" => [
        {"head" => "Firing", "field" => "firing", "output" => nil},
        {"head" => "Peak °C", "field" => "peak", "output" => true}
      ],
      "rows" => [%w[Bisque 1.000]],
      "notes" => []
    )
    attributes = programme.attributes.merge("rows" => programme.rows.first(3))
    expect(post("decisions/review", attributes)).to include(
      "gaps" => [
        {"words" => ["Firing is Raku"], "typed" => {"firing" => "Raku"}},
        {"words" => ["Firing is blank"], "typed" => {}}
      ],
      "unreached" => [],
      "contradictions" => [],
      "stopped" => false
    )
    expect(post("decisions/write", attributes.merge(separator: "tab"))["text"]).to start_with(
      "Firing\t→ Peak °C\t→ Ramp °C an hour\t→ Hold minutes\r\nBisque\t1000\t100\t20\r\n"
    )
  end

  it "marks each cell that can't be read, and keeps nothing of such a table" do
    before = UpTack::Store::Revision.maximum(:id)
    wrong =
      post(
        "rules/preview",
        programme.attributes.merge("rows" => [%w[Glace 1 2 3], ["Raku", "warm", "", "200", "9"], ["Bisque"]])
      )
    expect(wrong["problems"].map { |each| [each["part"], each["message"]] }).to eq(
      [
        ["rows.0.0", "“Glace” is not one of the choices: Bisque, Glaze, Lustre, Raku; did you mean Glaze?"],
        ["rows.1.0", "Row 2 has 5 cells, but there are 4 columns."]
      ]
    )
    ask(:put, "/api/tables/pieces/rules/#{programme.id}", programme.attributes.merge("rows" => [%w[9.. 1 2 3]]))
    refused(422)
    expect(UpTack::Store::Revision.maximum(:id)).to eq(before)
  end

  it "previews a table with the row that is used, and a fill with the notices it brings" do
    preview = post("rules/preview", programme.attributes.merge(look_at: 2))
    expect([preview["looked"].values_at("row", "verdict"), preview["counts"].keys]).to eq(
      [[1, "same"], %w[same differs]]
    )
    fill = {kind: "fill", field: "hold", sets: [{field: "hold", to: "peak / 50"}]}
    expect(post("rules/preview", fill)["notices"].map { |each| each["code"] }).to eq(["two_writers"])
    gap = ask(:get, "/api/tables/pieces")["notices"].first
    expect(gap.values_at("code", "field")).to eq(%w[gap verdict])
    # The case can be tried: a clay that is there, the absorption just on its limit.
    tried = post("trial", {typed: {"piece" => "Mug", "maker" => 2}.merge(gap["examples"].first["values"])})
    expect([gap["examples"].first["values"], tried["fields"]["verdict"]["value"]]).to eq(
      [{"absorption" => "8", "clay" => 1}, nil]
    )
    sign_in_as("Bram Tolley")
    expect(ask(:get, "/api/tables/pieces")["notices"]).to eq([])
  end

  it "answers a draft in a form with states and where the cursor goes, and saves by that form" do
    answer = post("draft", {typed: {piece: "Mug"}, form: reception.id, carried: {maker: 2, zone: "not carried"}})
    expect(answer["following"]).to include("maker" => "piece", "piece" => "clay_family", "wet_weight" => nil)
    expect(answer["first"]).to eq("piece")
    expect(answer["fields"]["maker"]).to include("value" => 2, "words" => "as in the previous record")
    expect(answer["fields"]["zone"]["value"]).to be_nil
    expect(answer["fields"]["days_late"]["state"]).to eq(
      "shown" => false,
      "enabled" => true,
      "required" => false,
      "read_only" => true
    )
    expect(answer["fields"]["tag"]["state"]["read_only"]).to be(false)
    expect(
      post("records", {typed: {piece: "Mug"}, form: reception.id, carried: {maker: 2}})["values"]["maker"]
    ).to eq(2)
    expect(post("draft", {typed: {}})["following"]).to eq({})
  end

  it "runs a form that is being designed, before it is kept" do
    parts = {
      name: "Desk",
      sections: [
        {columns: 1, items: [{field: "piece"}, {field: "firing", default: "\"Raku\""}, {field: "peak"}]}
      ],
      jumps: [{after: "piece", to: "peak", when: "firing = \"Raku\""}]
    }
    expect(post("trial", {typed: {}, form_parts: parts})).to include(
      "following" => {"piece" => "peak", "firing" => "peak", "peak" => nil},
      "fields" => include("peak" => include("value" => "980"))
    )
    post("trial", {typed: {}, form_parts: parts.merge(jumps: [{after: "piece", to: "peak", when: "fiiring"}])})
    refused(422)
    expect(JSON.parse(last_response.body)["mistakes"].first).to include("part" => "jumps.0.when")
    made = post("forms", parts)
    expect(ask(:put, "/api/tables/pieces/forms/#{made["id"]}", parts.merge(name: "Other desk"))).to eq(made)
    expect(ask(:get, "/api/tables/pieces")["forms"].map { |form| form["name"] }).to eq(
      ["All fields", "Reception", "Kiln desk", "Other desk"]
    )
    ask(:delete, "/api/tables/pieces/forms/#{made["id"]}")
    expect([status, ask(:post, "/api/design/undo")["summary"]]).to eq([204, "Form Other desk of Pieces deleted"])
  end

  it "answers and saves lines beneath a record, all or nothing" do
    lines = [
      {
        table: "order_lines",
        link: "order",
        rows: [{typed: {what: "Bag", quantity: 2, price: 9.5}}, {typed: {what: "Firing"}}]
      }
    ]
    answer = ask(:post, "/api/tables/orders/draft", {typed: {member: 1}, lines: lines})
    expect(answer["fields"]["amount"]["text"]).to eq("19.00")
    expect(answer["lines"].first.map { |line| line["messages"].map { |message| message["field"] } }).to eq(
      [[], ["price"]]
    )
    refusal = ask(:post, "/api/tables/orders/records", {typed: {member: 1}, lines: lines})
    expect([status, refusal["title"], refusal["answer"]["lines"].first.last["messages"].first["message"]]).to eq(
      [422, "Not saved: 1 problem.", "Enter a price."]
    )
    lines.first[:rows].pop
    saved = ask(:post, "/api/tables/orders/records", {typed: {member: 1}, lines: lines})
    expect(saved["values"]["amount"]).to eq("19")
    listed = ask(:get, "/api/tables/orders/records/#{saved["id"]}/lines/order_lines/order")
    expect(listed.map { |line| line["values"].values_at("what", "total") }).to eq([%w[Bag 19]])
  end

  it "says what feeds what, over all tables, as far as the person may see" do
    map = ask(:get, "/api/map")
    edge = ->(from, to, how) { map["edges"].any? { |each| each.values_at("from", "to", "how") == [from, to, how] } }
    expect(
      [
        edge.call("pieces.firing", programme.id, "reads"),
        edge.call(programme.id, "pieces.hold", "writes"),
        edge.call("clays.absorption_limit", programme.id, "reads")
      ]
    ).to eq([true, true, false])
    verdict = map["rules"].find { |rule| rule["tack"] == "watertight below the limit" }
    expect(
      [edge.call("clays.absorption_limit", verdict["id"], "reads"), verdict["notices"].map { |each| each["code"] }]
    ).to eq([true, ["gap"]])
    # Two act after what they read, later than their stage: the web page of a tag, the days up to a stamp.
    late, others =
      map["rules"]
        .select { |rule| rule["table"] == "pieces" }
        .sort_by { |rule| rule["place"] }
        .partition { |rule| %w[page days_late].include?(rule["field"]) }
    expect(others.map { |rule| rule["stage"] }.chunk_while { |one, other| one == other }.map(&:first)).to eq(
      %w[default mask fill calculate number validate log]
    )
    late.each do |rule|
      read =
        map["edges"].select { |edge| edge["to"] == rule["id"] && edge["how"] == "reads" }.map { |edge| edge["from"] }
      writers =
        map["rules"].select do |other|
          map["edges"].any? do |edge|
            edge["from"] == other["id"] && edge["how"] == "writes" && read.include?(edge["to"])
          end
        end
      expect(writers.map { |other| other["place"] } << -1).to all(be < rule["place"])
    end
    ask(:patch, "/api/tables/orders", {access: {reader: "nothing"}})
    sign_in_as("Hale Orrin")
    expect(ask(:get, "/api/map").to_s).not_to match(/orders\.|Orders/)
  end

  it "refuses in words what is no block, no form, no line and no table" do
    [
      ["decisions/read", {text: 5}, 400],
      ["decisions/read", {text: " "}, 422],
      ["decisions/read", {text: "a\n" * 3_000}, 422],
      ["decisions/read", {text: "\"open"}, 422],
      ["decisions/review", {kind: "fill", field: "hold"}, 422],
      ["decisions/review", {kind: "decision", field: "hold", inputs: "x"}, 422],
      ["decisions/write", {kind: "decision", field: "gone"}, 422],
      ["forms", {name: "X"}, 201],
      ["forms", {name: "", sections: []}, 422],
      ["forms", {name: "Y", sections: {}}, 422],
      ["forms", {name: "Y", sections: [{items: [5]}]}, 422],
      ["forms", {name: "Y", sections: [{items: [{}]}]}, 422],
      ["forms", {name: "Y", sections: [], order: 5}, 422],
      ["forms", {name: "Y", sections: [], jumps: [5]}, 422],
      ["forms", {name: "Y", sections: [], buttons: ["fly"]}, 422],
      ["forms", {name: "Y", sections: [{items: [{field: "piece", states: [5]}]}]}, 422],
      [
        "forms",
        {name: "Y", sections: [{items: [{field: "piece", states: [{state: "shown", when: nil}]}]}]},
        422
      ],
      ["forms", {name: "Y", sections: [{items: [{lines: 5}]}]}, 422],
      ["forms", {name: "Y", sections: [{items: [{field: 5}]}]}, 422],
      ["draft", {typed: {}, form: "m9999"}, 404],
      ["draft", {typed: {}, form: 5}, 400],
      ["draft", {typed: {}, carried: 5}, 400],
      ["draft", {typed: {}, lines: 5}, 400],
      ["draft", {typed: {}, lines: [{table: "orders", link: "member", rows: [{typed: {}}]}]}, 422],
      ["draft", {typed: {}, lines: [{table: "nothing", link: "x", rows: []}]}, 404],
      ["trial", {typed: {}, form_parts: 5}, 400],
      ["trial", {typed: {}, form_parts: {name: "Z", sections: [{columns: 0}]}}, 422],
      ["rules", {kind: "fill", field: "hold", sets: 5}, 422],
      ["rules", {kind: "fill", field: "hold", sets: [{field: "hold"}]}, 422],
      ["rules", {kind: "state", field: "hold", state: "gone", when: "yes"}, 422],
      ["rules", {kind: "decision", field: "hold", inputs: ["firing"], outputs: ["hold"], rows: [[5]]}, 422],
      ["rules", {kind: "decision", field: "hold", inputs: [nil], outputs: ["hold"], rows: []}, 422]
    ].each do |path, body, code|
      post(path, body)
      expect([path, body, status]).to eq([path, body, code])
      refused(code) if code >= 400
    end
    ask(:put, "/api/tables/pieces/forms/m9999", {name: "X", sections: []})
    refused(422)
    ask(:get, "/api/tables/orders/records/12/lines/pieces/maker")
    refused(404)
  end
end
