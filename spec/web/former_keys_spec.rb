# frozen_string_literal: true

require "web_helper"

RSpec.describe "Keys from before a renaming, over HTTP" do
  include WebHelp

  before { sign_in_as("Odile Marsh") }

  # What a script asks of a field that it knows by a key.
  def script(table, key, value, other)
    at = "/api/tables/#{table}"
    filter = Rack::Utils.escape("#{key} is not blank and len(\"\" & #{key}) > 0")
    number = ask(:post, "#{at}/records", {typed: good_piece.merge(key => value)})["id"]
    answers = [
      ask(:get, "#{at}/records?fields=#{key}&filter=#{filter}&sort=-#{key}")["records"].map do |each|
        each["values"][key]
      end,
      ask(:get, "#{at}/totals?fields=#{key}&filter=#{filter}")["fields"][key],
      ask(:get, "#{at}/records/#{number}")["values"][key],
      ask(:patch, "#{at}/records/#{number}", {typed: {key => other}})["values"][key],
      ask(:post, "#{at}/batch", {records: [{id: number, typed: {key => value}}]})["report"]["saved"],
      ask(:post, "#{at}/bulk", {do: "change", keep: "all", ids: [number], typed: {key => other}})["saved"],
      ask(:get, "/api/history?table=#{table}&field=#{key}&record=#{number}")["entries"].length,
      ask(
        :get,
        "/api/tables/clays/records?filter=#{Rack::Utils.escape("count(#{table} where #{key} is not blank) > 0")}"
      )[
        "records"
      ].map { |each| each["id"] }
    ]
    ask(:delete, "#{at}/records/#{number}")
    [answers, status]
  end

  it "go on working in addresses, queries, conditions and what is sent, until they are dropped" do
    {"piece" => %w[Jug Pot], "maker_note" => ["Thin", nil], "fragile" => [true, false]}.each do |key, (value, other)|
      before = script("pieces", key, value, other)
      was = workspace.table("pieces").field(key).label
      now =
        ask(:patch, "/api/tables/pieces/fields/#{key}", {label: "Called #{key} anew", aliases: []})[
          "fields"
        ].find { |each| each["aliases"] == [key] }[
          "key"
        ]
      expect(now).to eq("called_#{key}_anew")
      change(:ChangeTable, table: "pieces", parts: {"label" => "Works"})
      expect(script("pieces", key, value, other)).to eq(before)
      expect(last_response.headers).to include("Up-Tack-Former-Keys")
      expect(script("works", now, value, other)).to eq(before)
      expect(last_response.headers).not_to include("Up-Tack-Former-Keys")

      change(:ChangeTable, table: "works", parts: {"label" => "Pieces"})
      ask(:patch, "/api/tables/pieces/fields/#{now}", {aliases: []})
      expect([ask(:get, "/api/tables/pieces/records?fields=#{key}"), status].last).to eq(422)
      ask(:patch, "/api/tables/pieces/fields/#{now}", {label: was})
    end
  end

  it "are not given to another field, nor made up" do
    ask(:patch, "/api/tables/pieces/fields/piece", {label: "Work"})
    added = ask(:post, "/api/tables/pieces/fields", {label: "Piece", type: "text"})
    expect(added["fields"].last).to include("label" => "Piece", "key" => "piece_2", "aliases" => [])
    expect([ask(:patch, "/api/tables/pieces/fields/work", {aliases: %w[piece tag]}), status].last).to eq(422)
    kept = Core::Design::ProjectFile.read(Core::Design::ProjectFile.write(workspace.project)).project
    expect(kept.table("pieces").field("work").aliases).to eq(["piece"])
    expect(
      ask(:patch, "/api/tables/pieces/fields/piece", {label: "Work piece"})["fields"].map { |each| each["aliases"] }
    ).to include(%w[piece work])
  end
end
