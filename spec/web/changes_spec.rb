# frozen_string_literal: true

require "web_helper"
require "support/processes"

# Programs follow the change log: every entry once, in one order, whoever writes meanwhile.
RSpec.describe "Changes that programs follow" do
  include WebHelp

  before { sign_in_as("Odile Marsh") }

  def follow(**query) = ask(:get, "/api/changes?#{URI.encode_www_form(query)}")

  def save(name, by = "Odile Marsh") =
    UpTack::UseCases::Records::SaveRecord.new(workspace(by)).call(
      table: "clays", typed: {"name" => name, "family" => "Stoneware", "limit" => "1240", "price" => "1.20"}
    )

  it "misses no entry and gives none twice while three write" do
    all = ->(place) do
      found = []
      loop do
        page = follow(after: place)
        found += page["changes"].map { |entry| entry["id"] }
        place = page["next"]
        break [found, place] unless page["more"]
      end
    end
    before, place = all.call("")
    expect(before).to eq(UpTack::Store::Entry.order(:id).pluck(:id))
    writers = Array.new(3) do |writer|
      Thread.new do
        12.times { |number| save("Clay #{writer} #{number}") }
      ensure
        ActiveRecord::Base.connection_handler.clear_active_connections!
      end
    end
    seen = []
    while writers.any?(&:alive?)
      found, place = all.call(place)
      seen += found
    end
    found, place = all.call(place)
    seen += found
    expect(seen).to eq(UpTack::Store::Entry.where("id > ?", before.last).order(:id).pluck(:id))
    expect(seen.length).to be >= 36
    expect(follow(after: place)).to include("changes" => [], "next" => place, "more" => false)
  end

  it "waits for the next one, and tells it as soon as it is there" do
    place = follow(after: "now")["next"]
    waiting = Thread.new do
      UpTack::Web::LongPoll.wait(30) { UpTack::UseCases::History::Changes.new.any?(place) }
      :told
    end
    Processes.until { waiting.status == "sleep" }
    save("Moss")
    expect(waiting.value).to eq(:told)
    found = follow(after: place, wait: 30)["changes"]
    expect(found.map { |entry| entry.values_at("table", "title", "action") }).to eq([%w[clays Moss create]])
    expect(found.first["id"]).to eq(ask(:get, "/api/tables/clays/records/#{found.first["record"]}")["version"])
  end

  it "tells each only what they may see, and says when the log is another one" do
    change(:ChangeTable, table: "clays", parts: {"access" => {"clerk" => "nothing"}})
    place = follow(after: "now")["next"]
    save("Moss")
    save_piece(good_piece)
    sign_in_as("Bram Tolley")
    expect(follow(after: place)["changes"].map { |entry| entry["table"] }.uniq).to eq(["pieces"])
    follow(after: place, table: "clays")
    expect(status).to eq(403)
    follow(after: "yesterday")
    expect(status).to eq(422)
    UpTack::Store::Database.write { UpTack::Store::Generation.change("all") }
    expect(follow(after: place)["code"]).to eq("restored")
    expect(status).to eq(410)
  end
end
