# frozen_string_literal: true

require "store_helper"

# What happens to a database over years: it grows, its backups must come back, and what nobody needs ends.
RSpec.describe "A database over years" do
  def maintenance = UpTack::UseCases::Maintenance
  def clock(text = "2026-11-23T09:00") = UpTack::Clock.stopped("Europe/Dublin", text)
  def backups = maintenance::Backups.new(clock)
  def space = maintenance::Space.new(workspace).call
  def connection = UpTack::Store::Database.connection

  it "tells what takes space, and all of it" do
    before = space
    UpTack::UseCases::Proofs::GenerateRecords.new(workspace).call(table: "pieces", count: 300, seed: 1)
    after = space
    expect(after.parts.sum(&:bytes)).to eq(connection.select_value("PRAGMA page_count") * 4_096)
    bytes = ->(told, what, label = nil) { told.parts.find { |part| [part.what, part.label] == [what, label] }.bytes }
    expect(bytes[after, "log"]).to be > bytes[before, "log"] + 300 * 100
    expect(bytes[after, "table", "Pieces"]).to be > bytes[before, "table", "Pieces"]
    expect(bytes[after, "table", "Titles"]).to eq(bytes[before, "table", "Titles"])
  end

  it "tells when the disk is full, by how it has grown with its backups" do
    sizes = {"2026-11-13" => 1_000_000, "2026-11-18" => 1_400_000, "2026-11-23" => 2_000_000}
    UpTack::Store::Settings["sizes"] = JSON.generate(sizes)
    allow(maintenance::Disk).to receive(:free).and_return(60_000_000)
    expect([space.daily, space.days]).to eq([100_000, 600])
    2.times { backups.make }
    expect([space.daily, space.days]).to eq([300_000, 200])
    maintenance::Space.note(clock("2026-11-24T09:00"))
    expect(JSON.parse(UpTack::Store::Settings["sizes"]).keys).to eq([*sizes.keys, "2026-11-24"])
  end

  it "restores its latest backup into a copy, and says whether that is sound" do
    prove = -> { maintenance::ProveRestore.new(clock, person: person).call }
    expect([prove.call, maintenance::ProveRestore.due?(clock.now)]).to eq([nil, false])
    made = backups.make
    save_piece(good_piece)
    expect(maintenance::ProveRestore.due?(clock.now)).to be(true)
    expect(prove.call).to have_attributes(backup: made.name, sound: true, message: nil)
    expect([maintenance::ProveRestore.latest.sound, maintenance::ProveRestore.due?(clock.now)]).to eq([true, false])
    expect(maintenance::ProveRestore.due?(clock("2026-12-01T09:00").now)).to be(true)
    expect(pieces.count).to eq(29)

    path = UpTack::Store::Backups.new.path(made.name)
    file = SQLite3::Database.new(path)
    file.execute("UPDATE pieces SET clay_weight = 1 WHERE id = 1")
    file.close
    expect(prove.call).to have_attributes(sound: false, message: /Piece|record/)
    File.binwrite(path, File.binread(path).tap { |bytes| bytes[5_000, 3_000] = "x" * 3_000 })
    expect(prove.call).to have_attributes(sound: false, message: be_a(String))
    expect(UpTack::Store::Database.path).not_to include("try")
  end

  it "copies each backup to a second folder, and says what keeps it from that" do
    Dir.mktmpdir do |disk|
      second = maintenance::SecondCopy.new(File.join(disk, "copies"))
      allow(maintenance::SecondCopy).to receive(:new).and_return(second)
      made = backups.make
      expect(File.binread(File.join(disk, "copies", made.name))).to eq(File.binread(backups.path(made.name)))
      expect(second.told).to have_attributes(problem: nil, latest: made.made_at)
      FileUtils.rm_rf(File.join(disk, "copies"))
      File.write(File.join(disk, "copies"), "no folder")
      again = backups.make
      expect(File.file?(backups.path(again.name))).to be(true)
      expect(second.told.problem).to match(/could not be copied to .*Check that folder/)
    end
  end

  it "keeps values of deleted fields for a year, in which the deletion can be undone" do
    ageing = maintenance::Ageing
    change(:RemoveField, table: "pieces", field: "maker_note")
    aside = UpTack::Store::Archive.all
    expect(aside.length).to eq(1)
    expect(ageing.end_aside(clock.now)).to eq([])
    expect(ageing.end_aside(clock("2027-11-20T09:00").now)).to eq([])
    expect(ageing.end_aside(clock("2027-11-25T09:00").now)).to eq(aside)
    expect(UpTack::Store::Archive.all).to eq([])
    expect(UpTack::Store::Event.last.kind).to eq("aside_ended")
  end

  it "gives room back that deleted records have left" do
    path = File.join(StoreHelp::FOLDER, "given_back.sqlite3")
    demo = UpTack::Store::Database.path
    UpTack::Store::Database.close
    UpTack::Store::Database.open(path)
    connection.execute("CREATE TABLE filling (text)")
    connection.execute("INSERT INTO filling SELECT randomblob(4000) FROM up_tack_settings AS a, " \
      "up_tack_migrations AS b, " \
      "up_tack_migrations AS c, up_tack_migrations AS d")
    connection.execute("DROP TABLE filling")
    before = connection.select_value("PRAGMA page_count")
    maintenance::Ageing.give_back
    expect(connection.select_value("PRAGMA page_count")).to be < before - 1_000
    expect(connection.select_value("PRAGMA integrity_check")).to eq("ok")
  ensure
    UpTack::Store::Database.close
    UpTack::Store::Database.open(demo)
  end
end
