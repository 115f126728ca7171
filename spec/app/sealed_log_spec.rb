# frozen_string_literal: true

require "store_helper"
require "stringio"

# Somebody who has the file, and first not the key.
RSpec.describe "The sealed log", :tampers do
  let(:store) { UpTack::Store }
  let(:backups) { UpTack::UseCases::Maintenance::Backups.new(workspace.clock, person: person) }
  after do
    FileUtils.rm_rf([File.join(StoreHelp::FOLDER, "backups"), File.join(StoreHelp::FOLDER, "up_tack-heads.jsonl")])
  end

  def connection = store::Database.connection
  def verify(against: nil) = store::LogCheck.run(against: against)

  # Takes every trigger out of the way, and puts it back as it was.
  def tamper
    triggers = connection.select_rows("SELECT name, sql FROM sqlite_master WHERE type = 'trigger'")
    triggers.each { |name, _| connection.execute("DROP TRIGGER #{name}") }
    yield
    triggers.each { |_, sql| connection.execute(sql) }
  end

  def cut_off(entry, event)
    {"up_tack_entries" => entry, "up_tack_events" => event}.each do |table, last|
      connection.execute("DELETE FROM #{table} WHERE id > #{last}")
      connection.execute("UPDATE sqlite_sequence SET seq = #{last} WHERE name = '#{table}'")
    end
  end

  {
    "UPDATE pieces SET maker_note = 'x' WHERE id = 4" => /Maker note of record #4 of Pieces is not what/,
    "UPDATE pieces SET clay_weight = clay_weight + 1 WHERE id = 9" => /record #9 of Pieces is not what entry \d+ tells/,
    "DELETE FROM firings WHERE id = 1" => /Record #1 of .* is missing, and the log has no deletion/,
    "INSERT INTO members (id, name) VALUES (900, 'Nobody')" => /Record #900 of Members exists/,
    "UPDATE up_tack_revisions SET design = replace(design, 'Mug', 'Jug'), summary = 'x'" =>
      /Revision 1 was changed outside Up Tack/,
    "INSERT INTO up_tack_batches (made_at, person_name, table_id, summary) VALUES " \
      "('2026-01-01', 'x', 't1', 'x')" => /Batch 1 exists, but nothing mentions it/,
    "UPDATE up_tack_people SET role = 'builder' WHERE role = 'reader'" => /Person \d was changed outside Up Tack/,
    "UPDATE up_tack_people SET password_digest = 'x' WHERE id = 2" => /Person 2 was changed outside Up Tack/,
    "INSERT INTO up_tack_tokens (person_id, name, role, digest, made_at, ends_at) VALUES (1, " \
      "'x', 'builder', 'y', '2026-01-01', '2036-01-01')" =>
      /Token 1 exists, but nothing mentions it/,
    "DELETE FROM up_tack_numbers WHERE text = 'PC-00007'" =>
      /Tag of Pieces: 1 numbers in the log are not registered/,
    "INSERT INTO up_tack_numbers (field_id, text, record_id, series) SELECT field_id, " \
      "'PC-09999', 1, '' FROM up_tack_numbers WHERE text = 'PC-00007'" => /PC-09999 is registered as used/,
    "UPDATE up_tack_events SET details = replace(details, 'up_tack_people', 'up_tack_peoplf') " \
      "WHERE id = 2" => /The event 2, or the one before it, was changed/,
    "DELETE FROM up_tack_settings WHERE name = 'head'" => /signed end of the log is missing/
  }.each do |statement, expected|
    it "does not hold after: #{statement[0, 70]}" do
      tamper { connection.execute(statement) }
      expect(verify).to have_attributes(sound: false, why: match(expected))
    end
  end

  it "can't be sealed again, nor cut off, without the key" do
    tamper do
      connection.execute("UPDATE up_tack_entries SET record_title = 'x' WHERE id = 100")
      store::Resealing.unkeyed
    end
    expect(verify).to have_attributes(sound: false, broken: 1)
    store::Database.close
    StoreHelp.open_copy
    tamper { cut_off(200, 3) }
    expect(verify).to have_attributes(sound: false, broken: 201, why: /it was signed up to entry 340/)
  end

  it "misses none of its triggers, takes none but its own, and is looked at without being written to" do
    path = store::Database.path
    %w[
      up_tack_entries_no_update
      up_tack_events_no_delete
      up_tack_numbers_no_delete
      up_tack_revisions_no_replace
    ].each do |name|
      sql = connection.select_value("SELECT sql FROM sqlite_master WHERE name = '#{name}'")
      connection.execute("DROP TRIGGER #{name}")
      expect(verify.why).to include(name)
      connection.execute(sql.sub("can only be added to", "can be changed"))
      expect(verify.why).to include("#{name}, which protects the log, was changed")
      connection.execute("DROP TRIGGER #{name}")
      connection.execute(sql)
    end
    expect(verify.sound).to be(true)
    connection.execute("CREATE TRIGGER quiet AFTER INSERT ON pieces BEGIN DELETE FROM firings; END")
    expect(verify.why).to include("a trigger quiet on pieces")
    connection.execute("DROP TRIGGER quiet")
    connection.execute("PRAGMA wal_checkpoint(TRUNCATE)")
    store::Database.close
    File.chmod(0o400, path)
    before = Digest::SHA256.file(path).hexdigest
    out = StringIO.new
    expect(
      [UpTack::Commands.run(["verify-log", path], out: out, err: out), Digest::SHA256.file(path).hexdigest]
    ).to eq([0, before]),
      out.string
    File.rename(File.join(StoreHelp::FOLDER, "up_tack.key"), File.join(StoreHelp::FOLDER, "away"))
    expect(UpTack::Commands.run(["verify-log", path], out: out, err: out)).to eq(2)
    expect(out.string).to include("The key of this log was not found")
  ensure
    away = File.join(StoreHelp::FOLDER, "away")
    File.rename(away, File.join(StoreHelp::FOLDER, "up_tack.key")) if File.file?(away)
    File.chmod(0o600, path)
    store::Database.open(path)
  end

  it "is held against what was kept elsewhere, whoever has the key" do
    store::Head.note(workspace.clock)
    2.times { store::Head.note(workspace.clock) }
    daily = store::Head.file
    expect([File.readlines(daily).length, File.stat(daily).mode & 0o777]).to eq([1, 0o600])
    backup = backups.path(backups.make.name)
    [daily, backup].each { |file| expect(verify(against: file).sound).to be(true) }
    3.times { save_piece(good_piece) }
    [daily, backup].each { |file| expect(verify(against: file).sound).to be(true) }
    tamper do
      cut_off(300, 5)
      connection.execute("DELETE FROM pieces WHERE id > 20")
      store::Head.write
    end
    expect(verify(against: daily)).to have_attributes(
      sound: false,
      faults: include(/Entry 340 is in the file but missing here/)
    )
    expect(verify(against: backup)).to have_attributes(
      sound: false,
      faults: include(/Entry 301 is in the file but missing here/)
    )
    File.write(daily, "nothing\n")
    expect { verify(against: daily) }.to raise_error(store::LogCheck::Unchecked)
  end

  it "tells of a restore what it cut off, in the log, in the design's history and in the events" do
    kept = backups.make
    6.times { save_piece(good_piece) }
    cut = store::Head.now
    mine = store::Token.make(person, name: "Script", role: "clerk", days: 3)
    mine.first.vouch("token_made")
    UpTack::UseCases::People::ChangePerson.new(by: person).change(3, "active" => false)
    UpTack::UseCases::People::MakeAnonymous.new(by: person).call(3)
    copy = backups.restore(kept.name)
    entry = store::Entry.order(:id).last
    expect(entry).to have_attributes(
      id: cut["entry"] + 1,
      action: "restored",
      person_name: "Odile Marsh",
      record_title: /Restored #{kept.name}, cutting off entries 341 to 346; they are in #{copy}/
    )
    expect(entry.differences).to include(cut["seal"])
    expect(store::Revision.order(:id).last).to have_attributes(action: "restore", summary: entry.record_title)
    expect(store::Event.where(kind: "restored").last.facts["cut_off"]).to include("entry" => 346, "seal" => cut["seal"])
    expect([verify.sound, verify(against: backups.path(copy)).sound]).to eq([true, true])
    # Who may come in stays as it was, and no number is given twice.
    expect([person("Hale Orrin"), store::Person.find(3)].map { |each| [each.name, each.active] }).to eq(
      [["Hale Orrin", true], ["Person 3", false]]
    )
    expect(pieces.page.flat_map { |_, row| row.values }.grep(/Senna/)).to eq([])
    expect(store::Entry.where(person_id: 3).map(&:person_name).uniq).to eq(["Person 3"])
    expect(store::Token.authenticate(mine.last)).to be_a(store::Token)
    expect(save_piece(good_piece).record.then { |record| [record.id, record.values["tag"]] }).to eq([35, "PC-00035"])
    expect(design.undo).to be_nil
    expect { backups.drop(copy) }.to raise_error(store::Backups::Kept)
    backups.change("keep" => 1)
    backups.make
    expect(backups.all.map(&:name)).to include(copy)
    UpTack::UseCases::Maintenance::Backups.new(UpTack::Clock.stopped("Europe/Dublin", "2027-06-01T10:00")).drop(copy)
    expect(backups.all.map(&:name)).not_to include(copy)
  end

  it "goes on under another key, and says what can't be checked without the earlier one" do
    path = store::Database.path
    key = File.join(StoreHelp::FOLDER, "up_tack.key")
    earlier = File.read(key)
    store::Database.close
    File.write(key, "#{"ab" * 32}\n")
    store::Database.open(path)
    save_piece(good_piece)
    expect(verify).to have_attributes(sound: false, broken: 1, why: /sealed with another key, which is not here/)
    store::Database.close
    File.write(key, "#{earlier}#{"ab" * 32}\n")
    store::Database.open(path)
    expect(verify.sound).to be(true)
  ensure
    store::Database.close
    File.write(key, earlier)
    store::Database.open(path)
  end
end
