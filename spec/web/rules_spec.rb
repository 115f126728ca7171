# frozen_string_literal: true

require "web_helper"

RSpec.describe "Rules, over HTTP" do
  def records = "/api/tables/pieces/records"

  def messages =
    JSON.parse(last_response.body)["answer"]["messages"].to_h { |message| [message["field"], message["message"]] }

  describe "the same rules hold also for imports and the API" do
    ways = {
      "a new record by form" => ->(typed) { ask(:post, records, {typed: good_piece.merge(typed), channel: "form"}) },
      "an edit in the grid" => ->(typed) { ask(:patch, "#{records}/28", {typed: typed, channel: "grid"}) },
      "a program" => ->(typed) { ask(:patch, "#{records}/28", {typed: typed}) }
    }
    refused = {
      {"shelf_code" => "kd-01"} => {"shelf_code" => "One more digit is missing."},
      {"shelf_code" => "RD-851"} => {
        "shelf_code" => "This shelf is taken. Choose another shelf, or collect the piece first."
      },
      {"absorption" => "100.1"} => {"absorption" => "Absorption must be between 0 and 100 %."},
      {"peak" => "599"} => {"peak" => "Peak must be between 600 and 1300 °C, the range of our kilns."},
      {"clay_family" => "Stoneware", "clay" => "Snowfall", "peak" => "1290"} => {
        "clay" => "That clay belongs to another family. Choose the family first, or leave it blank.",
        "peak" => "Peak is above what Snowfall can take: 1,280."
      },
      {"collected_on" => "1 nov 2026"} => {
        "collected_on" => "Collected on is set by a rule and can't be edited."
      },
      {"maker" => "Ansa Velt"} => {
        "maker" => "Maker: more than one record is named “Ansa Velt” (#1, #6). Choose one, or enter its #."
      }
    }
    ways.each do |way, send|
      it "by #{way}: refused, at the field to mend" do
        refused.each do |typed, told|
          instance_exec(typed, &send)
          expect([typed, status, messages]).to eq([typed, 422, told])
        end
      end

      it "by #{way}: brought into form, tidied, cleared and copied" do
        settled =
          instance_exec(
            {"shelf_code" => "zz 404", "maker" => "teodor quill", "clay" => 4, "clay_family" => "porcelain"},
            &send
          )
        expect([status, settled["texts"].values_at("shelf_code", "maker", "maker_phone", "clay_limit")]).to eq(
          [status, ["ZZ-404", "Teodor Quill", "01 555 0117", "1280 °C"]]
        )
        cleared = ask(:patch, "#{records}/#{settled["id"]}", {typed: {"clay_family" => "stoneware"}})
        expect(cleared["texts"].values_at("clay_family", "clay")).to eq(["Stoneware", ""])
      end
    end

    it "tells the way in History" do
      ask(:patch, "#{records}/28", {typed: {"hold" => 16}, channel: "grid"})
      ask(:patch, "#{records}/28", {typed: {"hold" => 17}, channel: "tidy"})
      expect(ask(:get, "/api/history?table=pieces&record=28")["entries"].first(2).map { |entry|
        entry["channel"]
      }).to eq(
        %w[api grid]
      )
    end
  end

  it "locks an issued order for clerks, and lets nobody but a builder change it" do
    sign_in_as("Senna Whitlock")
    ask(:patch, "/api/tables/orders/records/3", {typed: {"agreed" => 13, "what" => "Snowfall, 6 kg"}})
    expect([status, JSON.parse(last_response.body)["answer"]["messages"].map { |message| message["message"] }]).to eq(
      [422, ["An issued order can't be changed. Ask a builder."]]
    )
    sign_in_as("Odile Marsh")
    ask(:patch, "/api/tables/orders/records/3", {typed: {"agreed" => 13}})
    expect(status).to eq(200)
  end

  it "goes on without going back: a stage, against what it was" do
    ask(:patch, "#{records}/20", {typed: {"stage" => "Drying"}})
    expect([status, messages]).to eq([422, {"stage" => "The stage can't go back from Bisque fired to Drying."}])
  end

  it "gives reasons for warnings, and shows them in History" do
    typed = good_piece.merge("clay_weight" => "5100", "wet_weight" => "5155")
    ask(:post, records, {typed: typed})
    warning = JSON.parse(last_response.body)["answer"]["messages"].first
    expect([status, warning["passable"]]).to eq([422, true])
    saved = ask(:post, records, {typed: typed, reasons: {warning["rule"] => "A commission."}})
    expect(ask(:get, "/api/history?table=pieces&record=#{saved["id"]}")["entries"].first["passed"]).to eq(
      [{"message" => warning["message"], "reason" => "A commission."}]
    )
    ask(:post, records, {typed: typed, reasons: ["x"]})
    expect(status).to eq(400)
  end

  it "streams an effect, line by line, and tells mistakes in it" do
    lines = ask(:post, "/api/tables/pieces/rules/effect", {kind: "limits", field: "hold", high: "15"})
    expect([last_response.media_type, lines.last["counts"], lines.last["looked_at"]]).to eq(
      ["application/x-ndjson", {"refused" => 13, "passed" => 15}, 28]
    )
    stub_const("UpTack::UseCases::Effects::PreviewRule::MANY", 0)
    expect(UpTack::Work).to receive(:call).and_call_original
    apart = ask(:post, "/api/tables/pieces/rules/effect", {kind: "limits", field: "hold", high: "15"})
    expect(apart.last).to eq(lines.last)
    RSpec::Mocks.space.proxy_for(UpTack::Work).reset
    wrong = ask(:post, "/api/tables/pieces/rules/effect", {kind: "limits", field: "hold", low: "9", high: "5"}).last
    expect(wrong["problems"].first["message"]).to eq("The minimum 9 is above the maximum 5.")
  end

  it "reads masks from text, pieces and examples" do
    expect(ask(:post, "/api/masks", {mask: "2UPPER \"-\" 3DIGIT", text: "kd01", bare: true})).to include(
      "words" => "two uppercase letters, “-”, three digits",
      "fit" => {"text" => "KD-01", "complete" => false, "message" => "one more digit is missing"}
    )
    expect(
      ask(
        :post,
        "/api/masks",
        {
          pieces: [
            {class: "DIGIT", least: 1, most: 2},
            {text: ":"},
            {optional: [{class: "UPPER", least: 1, most: 1}]}
          ]
        }
      )[
        "mask"
      ]
    ).to eq("1*2DIGIT \":\" [ UPPER ]")
    expect(ask(:post, "/api/masks", {example: "KD-017"})["readings"].length).to eq(4)
    [
      {mask: "3DIGT"},
      {mask: ""},
      {pieces: [{text: "\""}]},
      {pieces: [{optional: [[]]}]},
      {mask: 5}
    ].each { |body| expect(ask(:post, "/api/masks", body)["problem"]).to include("part" => "mask") }
    expect(ask(:get, "/api/masks/ready-made").map { |each| each["mask"] }).to include("5DIGIT")
  end

  it "tries clean-ups and formats, and says what is wrong with them" do
    expect(ask(:post, "/api/tidying", {steps: [{do: "trim"}, {do: "upper"}], text: " kd "})).to eq(
      "problem" => nil,
      "words" => "trim spaces at the ends, all uppercase",
      "before" => " kd ",
      "after" => "KD"
    )
    [nil, "x", [5], [{}], [{do: 5}], [{do: "polish"}], [{do: "replace", from: 5}]].each do |steps|
      expect(ask(:post, "/api/tidying", {steps: steps})["problem"]).to be_a(String)
    end
    expect(ask(:get, "/api/tidying").length).to eq(12)
    found = ask(:post, "/api/formats", {type: "number", decimals: 1, format: {group: true, after: " g"}})
    expect(found["examples"]).to eq(["1,234.5 g", "-0.3 g", "1,000,000.0 g"])
    expect(ask(:post, "/api/formats", {type: "date", format: {}})["ready_made"].length).to be >= 6
    expect(ask(:post, "/api/formats", {type: "date", format: {pattern: "Q'"}})["problem"]).to be_a(String)
    expect(ask(:post, "/api/formats", {type: "potato"}) && status).to eq(422)
    Core::Values.all.each_key do |type|
      found = ask(:post, "/api/formats", {type: type, format: {blank: "not known", group: true}})
      expect([type, status, found["problem"]]).to eq([type, 200, nil])
    end
  end

  it "reviews suggestions and takes them back" do
    expect(ask(:get, "/api/tables/members/suggestions")).to include("count" => 3, "rules" => true, "ignored" => 0)
    done = ask(:post, "/api/tables/members/suggestions/accept", {picked: nil})
    expect(done).to include("saved" => 3, "left" => 0)
    entry = ask(:get, "/api/history?table=members")["entries"].first
    expect(entry["batch"]).to include("summary" => "Cleaned up Name", "records" => 3, "undone" => false)
    expect(ask(:post, "/api/history/batches/#{done["batch"]}/undo", {})).to include("undone" => 3, "left" => 0)
    expect(ask(:post, "/api/tables/members/suggestions/ignore", {})).to eq("ignored" => 3)
    expect(ask(:delete, "/api/tables/members/suggestions/ignored")).to eq("ignored" => 3)
    expect([ask(:post, "/api/history/batches/999/undo", {}), status].last).to eq(404)
    [5, ["x"], [{"id" => "a"}], {"a" => 1}].each do |picked|
      expect([ask(:post, "/api/tables/members/suggestions/accept", {picked: picked}), status].last).to eq(400)
    end
  end

  it "keeps lists, notices and brought-in details" do
    lists = ask(:post, "/api/lists", {name: "Kilns", values: %w[Bess Ada]})
    expect(lists.last).to include("name" => "Kilns", "users" => [])
    expect([ask(:put, "/api/lists/#{lists.last["id"]}", {name: "Kilns", values: []}), status].last).to eq(422)
    expect(ask(:delete, "/api/lists/#{lists.last["id"]}").length).to eq(1)
    expect([ask(:post, "/api/lists", {name: "Kilns", values: [5]}), status].last).to eq(422)
    expect(ask(:post, "/api/outbox/check", {})).to eq("sent" => 1)
    notice = ask(:get, "/api/outbox").first
    expect(ask(:put, "/api/outbox/#{notice["id"]}/read", {})).to include("read" => true, "to" => "Odile Marsh")
    table = ask(:post, "/api/tables/pieces/details", {link: "maker", detail: "email", copy: true})
    expect(table["fields"].map { |field| field["label"] }.slice(2, 2)).to eq(["Maker", "Maker: E-mail"])
    expect([ask(:post, "/api/tables/pieces/details", {link: "tag", detail: "email"}), status].last).to eq(422)
    expect(ask(:get, "/api/tables/pieces/rules/open").values).to eq([4])
    expect(
      ask(:post, "/api/tables/pieces/fields/maker/candidates", {text: "velt", typed: {}}).map do |match|
        match["id"]
      end
    ).to eq([1, 6])
    expect([ask(:post, "/api/tables/pieces/fields/tag/candidates", {text: "velt"}), status].last).to eq(422)
  end

  # Each run takes other ones for each part, so that all are met in time.
  it "refuses rules of odd shapes with words" do
    odd = [5, [], {}, "x", -1, 10**30, [[]], {"a" => {}}, true, nil].shuffle(
      random: Random.new(RSpec.configuration.seed)
    ).cycle
    Core::Rules.all.each do |kind, type|
      type.part_keys.each do |part|
        Array.new(3) { odd.next }.each do |value|
          ask(:post, "/api/tables/pieces/rules/preview", {"kind" => kind, "field" => "piece", part => value})
          expect([kind, part, value, status]).to satisfy { |*, code| [200, 400, 422].include?(code) }
        end
      end
    end
  end

  it "takes a megabyte in a masked field for what it is" do
    ask(:post, "/api/tables/pieces/draft", {typed: {"shelf_code" => "1" * 1_048_576}})
    expect(JSON.parse(last_response.body)["messages"].map { |message| message["message"] }).to include(
      "Shelf code can have up to 4,000 characters; this has 1,048,576."
    )
  end
end
