# frozen_string_literal: true

require "web_helper"

RSpec.describe "How the firm writes, over HTTP" do
  include WebHelp

  before { sign_in_as("Odile Marsh") }

  it "is changed after set-up, with what would read differently told before, and undone" do
    weight = pieces.find(1)["wet_weight"]
    page = ask(:get, "/api/tables/pieces/records?limit=1")["records"].first
    expect(ask(:get, "/api/project/conventions")).to include(
      "decimal_mark" => ".",
      "date_order" => "dmy",
      "time_zones" => include("Europe/Dublin")
    )
    wish = {date_order: "mdy", decimal_mark: ",", group_mark: ".", time_zone: "Asia/Tokyo"}
    told = ask(:post, "/api/project/conventions/preview", wish)
    expect(told["typed"]).to include(
      {"place" => "3/4/26", "before" => "3 Apr 2026", "after" => "4 Mar 2026"},
      {"place" => "1.234", "before" => "1.234", "after" => "1234"}
    )
    expect(told["shown"].map { |each| each["place"] }).to include(/Wet weight g of Pieces/)
    expect(workspace.project.conventions.decimal_mark).to eq(".")

    expect(ask(:patch, "/api/project/conventions", wish)).to include(
      "decimal_mark" => ",",
      "time_zone" => "Asia/Tokyo"
    )
    expect(ask(:get, "/api/tables/pieces/records?limit=1")["records"].first["texts"]["wet_weight"]).to eq(
      page["texts"]["wet_weight"].tr(".", ",")
    )
    expect(pieces.find(1)["wet_weight"]).to eq(weight)
    ask(:post, "/api/design/undo")
    expect(ask(:get, "/api/tables/pieces/records?limit=1")["records"].first["texts"]).to eq(page["texts"])
  end

  it "is refused where it makes no sense, with words, and to clerks" do
    [{decimal_mark: ","}, {time_zone: "Atlantis/Middle"}, {date_order: "ydm"}, {decimal_mark: "x"}].each do |wish|
      expect([ask(:post, "/api/project/conventions/preview", wish), status].last).to eq(422), wish.to_s
      expect([ask(:patch, "/api/project/conventions", wish), status].last).to eq(422), wish.to_s
    end
    sign_in_as("Bram Tolley")
    expect([ask(:patch, "/api/project/conventions", {decimal_mark: ","}), status].last).to eq(403)
  end
end
