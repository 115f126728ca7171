# frozen_string_literal: true

require "stringio"
require "store_helper"

RSpec.describe "Backups and checks" do
  let(:at) { Time.utc(2026, 11, 23, 9, 30) }
  let(:backups) { UpTack::UseCases::Maintenance::Backups.new(workspace(at: "2026-11-23T09:30").clock) }
  after { FileUtils.rm_rf(File.join(StoreHelp::FOLDER, "backups")) }

  def names = UpTack::Store::RecordTable.new(workspace.table("clays")).page.map { |_, row| row["name"] }

  it "copies the database while somebody writes, and puts it back with a copy of what it replaces" do
    started = Queue.new
    writer =
      Thread.new { 12.times { |index| save_piece(good_piece.merge("piece" => "Jug #{index}")) && started << index } }
    started.pop
    copy = backups.make
    writer.join
    2.times { save_piece(good_piece) }
    expect(copy).to have_attributes(why: "by hand", bytes: be > 100_000)
    entries = UpTack::Store::Entry.count
    UpTack::Store::Session.begin(person)
    expect(pieces.count).to eq(42)
    change(:AddField, table: "clays", parts: {"label" => "Shelf life", "type" => "number"})
    before = backups.restore(copy.name)
    expect(pieces.count).to be_between(28, 40)
    expect(UpTack::Store::Entry.count).to be < entries
    expect(workspace.table("clays").fields.map(&:label)).not_to include("Shelf life")
    expect(UpTack::Store::Session.count).to eq(0)
    expect(save_piece(good_piece).state).to eq(:saved)
    backups.restore(before)
    expect([pieces.count, workspace.table("clays").fields.map(&:label).last]).to eq([42, "Shelf life"])
    expect(UpTack::UseCases::Maintenance::IntegrityCheck.new(workspace).call.reject(&:sound)).to eq([])
  end

  it "makes those that are due, and keeps them by number and age" do
    clock = ->(text) { UpTack::Clock.stopped("Europe/Dublin", text) }
    made = ->(text) { UpTack::UseCases::Maintenance::Backups.new(clock.call(text)).make_due }
    backups.change("every" => "day", "hour" => 2, "keep" => 3, "days" => 10)
    expect(
      [
        made.call("2026-11-01T12:00"),
        made.call("2026-11-01T23:00"),
        made.call("2026-11-02T01:59"),
        made.call("2026-11-02T02:00"),
        made.call("2026-11-02T09:00")
      ].map(&:nil?)
    ).to eq([false, true, true, false, true])
    %w[2026-11-03T03:00 2026-11-04T03:00 2026-11-05T03:00].each do |text|
      expect(made.call(text)).to be_a(UpTack::Store::Backups::Copy)
    end
    expect(backups.all.length).to eq(3)
    made.call("2026-12-24T03:00")
    expect(backups.all.length).to eq(1)
    [{"every" => "sometimes"}, {"keep" => 0}, {"hour" => 24}, {"days" => "many"}].each do |attributes|
      expect { backups.change(attributes) }.to raise_error(Core::Invalid)
    end
    backups.change("every" => "never")
    expect(made.call("2027-12-24T03:00")).to be_nil
  end

  it "makes those that are due though something else of the schedule fails" do
    allow(UpTack::UseCases::Maintenance::SendNotices).to receive(:new).and_raise("no post today")
    allow(UpTack::Store::Head).to receive(:note).and_raise(Errno::ENOSPC)
    expect(logged { UpTack::Schedule.look }).to match(
      /signed end of the log failed.*Errno::ENOSPC.*notices failed.*no post today/m
    )
    expect(backups.all.map(&:why)).to eq(["on schedule"])
  end

  it "restores no file that does not hold" do
    copy = backups.make
    path = backups.path(copy.name)
    File.binwrite(path, File.binread(path)[0, 40_000])
    expect { backups.restore(copy.name) }.to raise_error(UpTack::Store::Backups::Unsound)
    expect { backups.restore("../up_tack.sqlite3") }.to raise_error(UpTack::Store::NotFound)
    expect(pieces.count).to eq(28)
  end

  it "finds stale values, counters behind their numbers, links to nothing and a changed log", :tampers do
    check = -> do
      UpTack::UseCases::Maintenance::IntegrityCheck
        .new(workspace)
        .call
        .reject(&:sound)
        .to_h { |each| [each.what, each.message] }
    end
    expect(check.call).to eq({})
    connection = UpTack::Store::Database.connection
    connection.execute("UPDATE pieces SET loss = 99 WHERE id IN (1, 2)")
    connection.execute("UPDATE up_tack_counters SET next = 5 WHERE field_id = " \
      "'#{workspace.table("pieces").field("tag").id}'")
    connection.execute("PRAGMA foreign_keys = OFF")
    connection.execute("UPDATE pieces SET clay = 999 WHERE id = 3")
    connection.execute("PRAGMA foreign_keys = ON")
    expect(check.call).to match(
      "values" => /Weight lost % of Pieces in 2/,
      "counters" => /Tag of Pieces: the highest number is 28, but the counter is at 5/,
      "links" => /1 links lead to a missing record: pieces 3/,
      "log" => /Clay of record #3 of Pieces is not what entry \d+ tells/
    )
    expect(connection.select_value("SELECT loss FROM pieces WHERE id = 1")).to eq(99)
    out = StringIO.new
    path = UpTack::Store::Database.path
    expect(UpTack::Commands.run(["check", "--database", path], out: out)).to eq(1)
    expect(out.string).to include("BROKEN  Out of date: Weight lost %")
    UpTack::Store::Database.open(path)
  end

  it "imports, copies and puts back from the command line" do
    path = UpTack::Store::Database.path
    run = lambda do |*arguments|
      out, err = StringIO.new, StringIO.new
      code = UpTack::Commands.run([*arguments, "--database", path], out: out, err: err)
      UpTack::Store::Database.open(path)
      [code, out.string, err.string]
    end
    file = UpTack::Installation.path("demo", "imports", "clays_with_semicolons.csv")
    refused = File.join(StoreHelp::FOLDER, "refused.csv")
    expect(run.call("import", "clays", file, "--dry-run", "--refused", refused)).to match(
      [1, /3 rows: 2 new, 0 changed, 0 unchanged, 1 refused\nrow 4: .*Nothing was saved/m, ""]
    )
    expect(File.read(refused)).to include("Glass sand").and include("Up Tack says")
    copy = run.call("backup")[1].strip
    expect(run.call("import", "clays", file, "--passing", "--map", "Price a kg €=-", "--match", "name")).to match(
      [1, /2 new/, ""]
    )
    expect(names).to include("Moor", "Reed")
    expect(run.call("restore", copy)).to match(
      [0, /Restored\. The previous database was saved as .*-restore.sqlite3/, ""]
    )
    expect(names).not_to include("Moor")
    expect(run.call("restore")[1].lines.length).to eq(2)
    [
      ["import", "nothing", file],
      %w[import clays missing.csv],
      ["import", "clays", file, "--map", "Nope=name"],
      %w[restore missing.sqlite3]
    ].each { |arguments| expect(run.call(*arguments).first).to eq(2), arguments.inspect }
  end
end
