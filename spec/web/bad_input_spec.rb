# frozen_string_literal: true

require "web_helper"

# Whatever arrives, the answer is kept exactly or refused with a message: never
# a 500, and nothing half done.
RSpec.describe "Bad input over HTTP" do
  def refused(code)
    expect(status).to eq(code), "#{status}: #{last_response.body[0, 300]}"
    expect(JSON.parse(last_response.body)["title"]).to match(/\S+ \S+/)
  end

  it "refuses what is no JSON object" do
    [
      "{",
      "",
      "[1]",
      "null",
      "\"text\"",
      "{\"typed\":{\"piece\":NaN}}",
      "#{"[" * 100}#{"]" * 100}",
      "\xff\xfe",
      "{\"typed\": 5}",
      "{\"typed\": []}",
      "{}"
    ].each do |body|
      %w[records draft trial].each do |way|
        ask(:post, "/api/tables/pieces/#{way}", body)
        refused(400)
      end
    end
    ask(:post, "/api/tables/pieces/records", JSON.generate(typed: good_piece), "CONTENT_TYPE" => "text/plain")
    refused(400)
    ask(:post, "/api/session/demo", {person_id: "one"})
    refused(400)
  end

  it "refuses a body beyond its size" do
    ask(:post, "/api/tables/pieces/records", JSON.generate(typed: {maker_note: "x" * 9_000_000}))
    refused(413)
  end

  it "answers unknown tables, fields, rules, records and addresses" do
    [
      [:get, "/api/tables/nothing"],
      [:patch, "/api/tables/nothing", {}],
      [:delete, "/api/tables/nothing"],
      [:get, "/api/tables/sqlite_master/records"],
      [:get, "/api/tables/up_tack_people/records"],
      [:post, "/api/tables/nothing/fields", {label: "x"}],
      [:patch, "/api/tables/pieces/fields/nothing", {}],
      [:delete, "/api/tables/pieces/fields/nothing"],
      [:get, "/api/tables/pieces/fields/nothing/losses"],
      [:post, "/api/tables/nothing/rules", {}],
      [:delete, "/api/tables/pieces/rules/r9999"],
      [:get, "/api/tables/pieces/records/0"],
      [:get, "/api/tables/pieces/records/abc"],
      [:patch, "/api/tables/pieces/records/999", {typed: {}}],
      [:delete, "/api/tables/pieces/records/99999999999999999999999"],
      [:post, "/api/tables/pieces/trial", {typed: {}, person_id: 77}],
      [:post, "/api/design/revisions/999/put-back", {}],
      [:get, "/api/history?table=nothing"],
      [:get, "/api/none"]
    ].each do |method, path, body|
      ask(method, path, body)
      refused(404)
    end
    [
      [:get, "/api/tables/pieces/records?sort=nothing"],
      [:post, "/api/tables/pieces/records", {typed: {nothing: 1}}],
      [:post, "/api/tables/pieces/draft", {typed: {"a\"b": 1}}],
      [:get, "/api/tables/pieces/fields/tag/losses?type=blob"]
    ].each do |method, path, body|
      ask(method, path, body)
      refused(422)
    end
    ask(:get, "/api/tables/pieces/records?at=x")
    refused(400)
  end

  it "refuses designs that can't be kept, and changes nothing" do
    before = UpTack::Store::Revision.maximum(:id)
    fields = [
      {label: ""},
      {label: "x" * 500},
      {label: 5},
      {label: ["a"]},
      {label: {}},
      {label: "a\nb"},
      {label: "a\u0000"},
      {label: "X", type: "sql"},
      {label: "X", type: nil},
      {label: "X", type: ["text"]},
      {label: "X", key: "a\"b"},
      {label: "X", key: "a; DROP TABLE pieces"},
      {label: "X", key: "old"},
      {label: "X", type: "choice"},
      {label: "X", type: "choice", choices: "abc"},
      {label: "X", type: "choice", choices: [nil, 1, {}]},
      {label: "X", type: "number", decimals: -1},
      {label: "X", type: "number", decimals: "2"},
      {label: "X", type: "number", decimals: 1.5},
      {label: "X", type: "text", note: 5},
      {label: "tag", type: "text"}
    ]
    fields.each do |parts|
      ask(:post, "/api/tables/pieces/fields", {type: "text"}.merge(parts))
      expect([parts, status]).to eq([parts, 422])
    end
    rules = [
      {},
      {kind: "check"},
      {kind: "check", field: "hold"},
      {kind: "check", field: "hold", formula: 5},
      {kind: "check", field: ["hold"], formula: "yes"},
      {kind: "check", field: "hold", formula: "x" * 30_000},
      {kind: "check", field: "hold", formula: "(" * 4_000},
      {kind: "check", field: "hold", formula: "\u0000"},
      {kind: "check", field: "hold", formula: "hold > 1", message: 5},
      {kind: "default", field: "hold", value: {}},
      {kind: "default", field: "hold", value: [1]},
      {kind: "default", field: "hold", value: "1" * 40},
      {kind: 5, field: "hold"},
      {kind: "required", field: nil},
      {kind: "default", field: "tag", value: 5, formula: 6},
      {kind: "check", field: "hold", formula: "hold > 1", name: ["x"]}
    ]
    rules.each do |parts|
      ask(:post, "/api/tables/pieces/rules", parts)
      expect([parts, status]).to eq([parts, 422])
      ask(:post, "/api/tables/pieces/rules/preview", parts)
      expect([parts, [200, 422].include?(status)]).to eq([parts, true])
    end
    [
      {},
      {label: nil},
      {label: "Pieces"},
      {label: "X", key: "sqlite_x"},
      {label: "X", key: "pieces"},
      {label: "X", one: 5}
    ].each do |parts|
      ask(:post, "/api/tables", parts)
      expect([parts, status]).to eq([parts, 422])
    end
    expect(UpTack::Store::Revision.maximum(:id)).to eq(before)
  end

  odd = [
    "\u0000",
    "a\u0000b",
    "👨‍👩‍👧",
    "\u202Eabc",
    "<img src=x onerror=alert(1)>",
    "'; DROP TABLE pieces;--",
    "x" * 1_048_576,
    "1" * 40,
    "31 February",
    "\ufeff",
    "1e400",
    "-",
    "∞",
    "١٢",
    "{}",
    "%s%n",
    "=1+1"
  ]
  odd.push(nil, true, false, 0, -0.0, 1e30, 1e-300, 12_345_678_901_234_567_890, [], {}, [1], {"a" => 1})

  it "keeps any value in any field exactly, or refuses it at that field with a message" do
    random = Random.new(RSpec.configuration.seed)
    workspace.table("pieces").fields.each do |field|
      Thorough.some(odd, 16, random).each do |value|
        answer = ask(:post, "/api/tables/pieces/draft", {typed: {field.key => value}})
        expect(status).to eq(200), "#{field.key} #{value.inspect[0, 40]} #{last_response.body[0, 200]}"
        told = answer["messages"].any? { |message| message["field"] == field.key }
        kept = answer["fields"][field.key]
        next if told || kept["source"] == "blank" || kept["pending"]

        expect(forms_of(value)).to include(kept["value"].to_s), "#{field.key} #{value.inspect[0, 40]}"
      end
    end
  end

  it "does not choke on numbers that would be gigabytes of figures" do
    answer =
      ask(
        :post,
        "/api/tables/pieces/draft",
        '{"typed":{"piece":1e999999999,"peak":1e999999999,"hold":1e-999999999,"received":1e9999999,"fragile":1e99999}}'
      )
    expect(answer["messages"].map { |message| message["field"] }).to include(
      "piece",
      "peak",
      "hold",
      "received",
      "fragile"
    )
  end

  it "refuses half a character" do
    ask(:post, "/api/tables/pieces/records", '{"typed":{"piece":"Mug \ud83d"}}')
    refused(400)
    ask(:post, "/api/tables/pieces/fields", '{"label":"Half \ud800","type":"text"}')
    refused(400)
  end

  it "answers odd filters, names, pieces and links in words" do
    [
      [:get, "/api/tables/pieces/records?filter=%FF"],
      [:get, "/api/tables/pieces/records?filter=#{"x" * 4_500}"],
      [:get, "/api/tables/pieces/records?filter=peak"],
      [:post, "/api/tables/pieces/filters", {name: 5, formula: 7}],
      [:post, "/api/tables/pieces/filters", {}],
      [:post, "/api/tables/pieces/filters", {name: "x", formula: "\u202E"}],
      [:post, "/api/tables/pieces/fields", {label: "L", type: "link"}],
      [:post, "/api/tables/pieces/fields", {label: "L", type: "link", target: "pieces", on_delete: 5}],
      [:patch, "/api/tables/members", {title: 5}],
      [:get, "/api/tables/pieces/fields/maker/losses?type=link&target=none"],
      [:post, "/api/tables/pieces/rules", {kind: "calculation", field: "maker", formula: "clay"}],
      [:post, "/api/tables/pieces/rules", {kind: "calculation", field: "tag", formula: "piece", keeping: 7}]
    ].each do |method, path, body|
      ask(method, path, body)
      refused(422)
    end
    [
      {shape: "text", parts: [{text: {a: 1}}]},
      {shape: "condition", tests: [{field: "a", relation: "in", value: {list: [1]}}]},
      {shape: "condition", tests: [{field: "a", relation: "=", value: {number: [1]}}]},
      {}
    ].each do |pieces|
      expect(ask(:post, "/api/tables/pieces/pieces", {pieces: pieces})).to include(
        "formula" => nil,
        "problem" => a_kind_of(String)
      )
    end
    [99, -3, 1.5, [1], true, "9" * 30, 10**18, "Ansa Velt", "\u0000"].each do |maker|
      expect(
        ask(:post, "/api/tables/pieces/draft", {typed: {maker: maker}})["messages"].map do |message|
          message["field"]
        end
      ).to include("maker")
    end
    ask(:get, "/api/tables/pieces/matches?text=%FF%00")
    refused(422)
  end

  it "keeps HTML in every field of a saved record as the text it is" do
    html = "<script>alert('x')</script>"
    record =
      ask(
        :post,
        "/api/tables/pieces/records",
        {typed: good_piece.merge("piece" => html, "received_by" => html, "maker_note" => html)}
      )
    expect(record["values"].values_at("piece", "received_by", "maker_note")).to eq([html] * 3)
    expect(last_response.media_type).to eq("application/json")
  end

  it "hides what went wrong inside, and says that nothing was saved" do
    allow(Core::Save).to receive(:call).and_raise(NoMethodError, "secret inside")
    said = logged { ask(:post, "/api/tables/pieces/records", {typed: good_piece}) }
    expect(said).to match(%r{request: #{last_response.headers["x-request-id"]}.*POST /api/tables/pieces/records failed})
    expect(said).to include("secret inside")
    expect(status).to eq(500)
    expect(last_response.body).not_to include("secret")
    expect(pieces.count).to eq(28)
  end

  it "is reached neither from another site nor under a borrowed name" do
    ask(
      :post,
      "/api/tables/pieces/records",
      JSON.generate(typed: good_piece),
      "HTTP_ORIGIN" => "http://elsewhere.example"
    )
    refused(403)
    get "/api/session", {}, "HTTP_HOST" => "elsewhere.example"
    expect(last_response.status).to eq(403)
    expect(pieces.count).to eq(28)
  end

  # What a value may be kept as: a program's yes is the word in a text, its 0 a no.
  def forms_of(value)
    case value
    when 0, -0.0 then %w[0 false]
    when Float then [Core::Numbers.digits(BigDecimal(value.to_s))]
    when true then %w[true yes]
    when false then %w[false no]
    else [value.to_s.unicode_normalize(:nfc)]
    end
  end
end
