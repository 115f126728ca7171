# frozen_string_literal: true

require "store_helper"
require_relative "support/processes"

# Several processes answer for one database. Whatever one has done is seen by the next request to any other.
RSpec.describe "Several processes" do
  before(:all) { @processes = Processes.new(StoreHelp.demo) }
  after(:all) { @processes.drop }

  let(:processes) { @processes }
  let(:builder) { Processes::Visitor.new(processes, 1) }
  let(:clerk) { Processes::Visitor.new(processes, 2) }
  let(:pair) { processes.numbers.shuffle(random: Random.new(RSpec.configuration.seed)) }

  def good(answer)
    expect(answer.status).to be_between(200, 204), answer.to_a.inspect
    answer.data
  end

  # Asks for long work and waits for what comes of it, looking at it in whatever process.
  def ended(answer)
    data = good(answer)
    return data unless data.is_a?(Hash) && data.key?("state")

    data = good(builder.ask("GET", "/api/jobs/#{data["id"]}")) while data["state"] == "running"
    data["report"]
  end

  # Things that one process does, with what every other must tell afterwards.
  let(:steps) do
    {
      field: -> { ended(builder.ask("POST", "/api/tables/clays/fields", {label: name, type: "text"}, of: one)) },
      record: -> { good(clerk.ask("POST", "/api/tables/clays/records", {typed: {name: name}}, of: one)) },
      person: -> { good(builder.ask("PATCH", "/api/people/3", {name: name}, of: one)) }
    }
  end
  let(:told) do
    {
      field: -> { good(builder.ask("GET", "/api/tables/clays", of: other))["fields"].map { |each| each["label"] } },
      record: -> do
        asked = {text: name, typed: {}}
        good(clerk.ask("POST", "/api/tables/pieces/fields/clay/candidates", asked, of: other)).to_json
      end,
      person: -> { good(builder.ask("GET", "/api/people", of: other)).map { |each| each["name"] } }
    }
  end
  attr_reader :name, :one, :other

  it "tell the same, whichever of them did something" do
    random = Random.new(RSpec.configuration.seed)
    12.times do |round|
      @one, @other = processes.numbers.shuffle(random: random)
      kind = told.keys.sample(random: random)
      @name = "Anew #{round}"
      told.fetch(kind).call # So that the other one remembers what was.
      steps.fetch(kind).call
      expect(told.fetch(kind).call).to include(name), "#{kind} in round #{round}, seed #{RSpec.configuration.seed}"
    end
  end

  it "give each number once, and tell each record what it is of" do
    saved =
      Array.new(16) do |index|
        Thread.new do
          typed = {piece: "Mug", maker: 2, clay_weight: "640", wet_weight: "695"}
          good(clerk.ask("POST", "/api/tables/pieces/records", {typed: typed}, of: pair[index % 2]))
        end
      end.map(&:value)
    tags = saved.map { |record| record["values"]["tag"] }
    expect([saved.map { |record| record["id"] }, tags].map { |each| each.uniq.length }).to eq([16, 16])
    expect(ended(builder.ask("POST", "/api/history/verify"))).to include("sound" => true)
  end

  it "do once what is sent twice under one key, though each has it" do
    key = {"HTTP_IDEMPOTENCY_KEY" => "sent twice"}
    answers =
      pair.map { |process|
        Thread.new {
          clerk.ask("POST", "/api/tables/clays/records", {typed: {name: "Once"}}, of: process, headers: key)
        }
      }.map(&:value)
    expect(answers.map { |each| good(each)["id"] }.uniq.length).to eq(1)
  end

  it "count wrong passwords together" do
    guess = {name: "hale", password: "wrong guess"}
    wrong = ->(process) { processes.ask(process, "POST", "/api/session", guess).status }
    expect(Array.new(8) { |index| wrong.call(pair[index % 2]) }.uniq).to eq([403])
    expect(pair.map(&wrong)).to eq([429, 429])
  end

  it "show and stop long work that goes on in another one" do
    begun = good(builder.ask("POST", "/api/tables/pieces/samples", {count: 20_000, seed: 1}, of: pair.first))
    expect(begun["state"]).to eq("running")
    seen = good(builder.ask("GET", "/api/jobs/#{begun["id"]}", of: pair.last))
    expect(seen).to include("id" => begun["id"], "state" => "running")
    builder.ask("DELETE", "/api/jobs/#{begun["id"]}", of: pair.last)
    seen = builder.ask("GET", "/api/jobs/#{begun["id"]}", of: pair.last).data until seen["state"] != "running"
    expect(seen["state"]).to eq("stopped")
    expect(builder.ask("GET", "/api/jobs/#{pair.first}-nothing", of: pair.last).status).to eq(404)
  end

  it "all go on with what was restored in one" do
    kept = good(builder.ask("POST", "/api/backups", {}, of: pair.first))["name"]
    ended(builder.ask("POST", "/api/tables/clays/fields", {label: "Cut off", type: "text"}, of: pair.last))
    good(builder.ask("POST", "/api/backups/#{kept}/restore", {}, of: pair.first))
    again = Processes::Visitor.new(processes, 1)
    pair.each do |process|
      labels = good(again.ask("GET", "/api/tables/clays", of: process))["fields"].map { |each| each["label"] }
      expect(labels).not_to include("Cut off")
      good(again.ask("POST", "/api/tables/clays/records", {typed: {name: "After it, in #{process}"}}, of: process))
    end
  end

  it "go on when one is killed, with another one in its place" do
    clerk
    Process.kill("KILL", pair.first)
    expect(good(clerk.ask("GET", "/api/tables/clays/records", of: pair.last))).to be_a(Hash)
    Processes.until { (processes.numbers - pair).any? }
    fresh = (processes.numbers - pair).first
    expect(good(clerk.ask("GET", "/api/tables/clays/records", of: fresh))).to be_a(Hash)
    expect(processes.ask(fresh, "GET", "/ready").data["checks"]).to include("schedule" => true)
  end

  it "have one that does what is done by the clock, and another one once that is killed" do
    Processes.until { processes.numbers.include?(processes.keeper) }
    killed = processes.keeper
    Process.kill("KILL", killed)
    Processes.until { processes.keeper != killed && processes.numbers.include?(processes.keeper) }
    expect(processes.ask(processes.keeper, "GET", "/ready").data["checks"]).to include("schedule" => true)
  end

  describe "asked to end" do
    before(:all) { @ending = Processes.new(StoreHelp.demo) }
    after(:all) { @ending.drop }

    it "answer what was asked, stop long work and undo what it has done, and end soon" do
      builder = Processes::Visitor.new(@ending, 1)
      file = SQLite3::Database.new(File.join(@ending.folder, "up_tack.sqlite3"), readonly: true)
      pieces = -> { file.get_first_value("SELECT COUNT(*) FROM pieces") }
      before = pieces.call
      begun = builder.ask("POST", "/api/tables/pieces/samples", {count: 30_000, seed: 1}).data
      Processes.until { pieces.call > before + 200 }
      asked = builder.asked("/api/tables/pieces/records?sort=piece")
      expect(@ending.stop).to be < 20
      expect([begun["state"], asked.read[/\AHTTP\S+ (\d+)/, 1], @ending.left]).to eq(["running", "200", []])
      @ending.start
      expect([pieces.call, file.get_first_value("SELECT COUNT(*) FROM up_tack_running")]).to eq([before, 0])
    end

    it "leave nobody behind who goes on, whatever it waits for" do
      @ending.stop
      FileUtils.rm_rf(File.join(@ending.folder, "backups"))
      @ending.start
      # Whoever makes the backup that is due waits to write it into the log.
      other = SQLite3::Database.new(File.join(@ending.folder, "up_tack.sqlite3"))
      other.busy_timeout = 10_000
      other.transaction(:immediate) do
        Processes.until { Dir[File.join(@ending.folder, "backups", "*.sqlite3")].any? }
        expect(@ending.stop).to be < 20
      end
      expect(@ending.left).to eq([])
      @ending.start
    end
  end
end
