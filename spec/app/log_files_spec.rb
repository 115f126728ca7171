# frozen_string_literal: true

require "store_helper"

# Older entries of the change log lie in files of their own. Whatever is asked of the log is answered as before.
RSpec.describe "Entries of the change log that have moved" do
  store = UpTack::Store
  files = store::LogFiles
  uses = UpTack::UseCases
  clock = UpTack::Clock.stopped("Europe/Dublin", "2026-11-23T09:00")

  def connection = UpTack::Store::Database.connection
  def piece_ids = UpTack::Store::RecordTable.model("pieces").order(:id).pluck(:id)
  def kept = connection.select_values("SELECT id FROM main.up_tack_entries")

  # Years of work in a moment: records made, changed one by one and in one go, deleted, and put back.
  def work(random, times)
    done = Array.new(times) do
      ids = piece_ids
      case random.rand(6)
      when 0 then save_piece(good_piece.merge("maker_note" => "Note #{random.rand(99)}"))
      when 1..3
        save_piece({"clay_weight" => random.rand(600..700).to_s, "wet_weight" => nil}, id: ids.sample(random: random))
      when 4
        UpTack::UseCases::Bulk::Change.new(workspace).call(table: "pieces", kind: "change", keep: "passing",
          ids: ids.sample(5, random: random), typed: {"maker_note" => "Seen #{random.rand(99)}"})
      else UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: "pieces", id: ids.last)
      end
    end
    expect(done.length).to eq(times)
  end

  # Moves all up to an entry, and lets them leave the database.
  move = ->(last, clears: true) do
    moving = store::LogMoving.new
    moving.copy(last).tap { moving.clear if clears }
  end

  def questions
    table = workspace.table("pieces")
    batches = UpTack::Store::Batch.pluck(:id)
    rules = table.rules.map(&:id)
    [
      {}, {table: table}, {person: person.id}, {channel: "bulk"},
      *table.fields.map { |field| {table: table, field: field.id} }, *rules.first(8).map { |rule| {rule: rule} },
      *piece_ids.map { |id| {table: table, record: id} }, *batches.map { |batch| {batch: batch} }
    ]
  end

  def followed
    log = UpTack::UseCases::History::Changes
    log.new.page(log.first, 5_000).entries
  end

  # All that the log says, by whatever way it can be asked.
  def said
    entry = ->(each) { [each.attributes.except("made_at"), each.made_at.to_f] }
    table = workspace.table("pieces")
    {
      pages: questions.map { |question|
        asked = UpTack::UseCases::History::Entries.new(UpTack::UseCases::History::Question.new(**question))
        all = []
        asked.each_batch { |some| all.concat(some.map(&entry)) }
        page = asked.page(limit: 7)
        before = page.last&.id
        [question.keys, page.map(&entry), asked.page(before: before, limit: 7).map(&entry), all, asked.periods.span,
          asked.periods.counts([Time.utc(2000), Time.utc(2027, 6), Time.utc(2100)]).map(&:last)]
      },
      changes: followed.map(&entry),
      versions: UpTack::Store::ChangeLog.versions_of(table, piece_ids),
      given: table.fields.map { |field| UpTack::Store::ChangeLog.ever_given(table, field, piece_ids).sort },
      batches: UpTack::Store::Batch.order(:id).map(&:records),
      verdict: UpTack::Store::LogCheck.run.to_h.slice(:sound, :entries, :faults)
    }
  end

  it "are told as before, wherever they lie, and others save in the meantime" do
    Thorough.some([1, 2, 3], 2).each do |seed|
      random = Random.new(RSpec.configuration.seed + seed)
      work(random, 25)
      expected = said
      last = random.rand((files.last + 1)..store::ChangeLog.latest)
      move.call(last, clears: false)
      expect([seed, said]).to eq([seed, expected])
      store::LogMoving.new.clear
      found = said
      expected.each { |what, answer| expect([seed, what, found[what]]).to eq([seed, what, answer]) }
      expect(kept.count { |id| id <= last }).to be < last
    end
    expect(files.all.length).to eq(1)
    expect(files.named(files.folder).map(&:name)).to eq(files.all.map(&:name))
  end

  it "lie in several files once those are large, and are found in each" do
    stub_const("UpTack::Store::LogMoving::GROWS", 1)
    random = Random.new(7)
    4.times do
      work(random, 6)
      move.call(store::ChangeLog.latest - 2)
    end
    work(random, 6)
    expect(files.all.length).to be > 1
    expect(files.all.each_cons(2).map { |one, two| two.first - one.last }).to all(eq(1))
    expect(said[:verdict]).to eq(sound: true, entries: store::ChangeLog.latest, faults: [])
  end

  it "are put back, undone and filled in from as if they were in the database" do
    ids = piece_ids.first(6)
    uses::Bulk::Change.new(workspace).call(table: "pieces", kind: "change", keep: "all", ids: ids,
      typed: {"maker_note" => "All alike"})
    batch = store::Batch.last
    ids.first(3).each { |id| save_piece({"fragile" => "yes"}, id: id) }
    move.call(store::ChangeLog.latest)
    undone = uses::History::UndoBatch.new(workspace).call(batch.id)
    expect(undone.left).to eq(0)
    entry = store::Entry.where(table_id: workspace.table("pieces").id, record_id: ids.first, action: "create").first
    expect(kept).not_to include(entry.id)
    fragile = workspace.table("pieces").field("fragile").id
    later = store::FieldChangeIndex.telling(fragile).where(record_id: ids.first).order(:id).last
    expect(uses::History::PutBack.new(workspace).call(entry: later.id, field: fragile).last.state).to eq(:saved)
    change(:AddField, table: "pieces", parts: {"label" => "Changes", "type" => "number"})
    change(:PinRule, table: "pieces",
      rule: {"kind" => "tally", "field" => "changes", "watch" => %w[maker_note], "fill" => true})
    expect(pieces.find(ids.last)["changes"]).to be >= 2
  end

  it "move only when enough are old enough, and leave the database an hour later" do
    mover = ->(at, months) do
      uses::Maintenance::MoveLog.new(UpTack::Clock.stopped("Europe/Dublin", at), months: months, least: 10)
    end
    soon = (store::Entry.first.made_at + 86_400).strftime("%Y-%m-%dT%H:%M")
    expect(mover.call(soon, 24).due?).to be(false)
    later = (store::Entry.last.made_at + (800 * 86_400)).strftime("%Y-%m-%dT%H:%M")
    expect([mover.call(later, 24).due?, mover.call(later, nil).due?]).to eq([true, false])
    result = mover.call(later, 24).call
    expect(result).to have_attributes(moved: store::ChangeLog.latest, left: 0)
    expect(mover.call(later, 24).due?).to be(false)
    hour = (Time.parse("#{later} UTC") + 3_700).strftime("%Y-%m-%dT%H:%M")
    expect(mover.call(hour, 24).call).to have_attributes(moved: 0, left: be > 0)
    expect(mover.call(hour, 24).due?).to be(false)
  end

  it "are told by the check where they were changed, and where they are missing", :tampers do
    save_piece({"maker_note" => "Twice"}, id: 1)
    move.call(store::ChangeLog.latest)
    expect(store::LogCheck.run.sound).to be(true)
    path = files.path(files.all.first)
    tampered = ->(sql) do
      File.chmod(0o600, path)
      before = File.binread(path)
      file = SQLite3::Database.new(path)
      file.execute(sql)
      file.close
      store::LogCheck.run.tap { File.binwrite(path, before) }
    end
    expect(tampered["UPDATE up_tack_entries SET record_title = 'Other' WHERE id = 3"]).to have_attributes(broken: 3)
    expect(tampered["DELETE FROM up_tack_entries WHERE id = 5"].faults.first).to include("Entry 5 is missing")
    expect(store::LogCheck.run.sound).to be(true)
    kept_last = kept.max
    [
      "UPDATE main.up_tack_settings SET value = '999999' WHERE name = 'log_cleared_to'",
      "DELETE FROM main.up_tack_entries WHERE id = #{kept_last}"
    ].each { |sql| connection.execute(sql) }
    expect(store::LogCheck.run.faults)
      .to eq(["Entry #{kept_last}, the latest of its record, is missing in the database."])
    FileUtils.mv(path, "#{path}.away")
    store::Database.close
    expect(store::LogCheck.run.faults.join(" ")).to include(File.basename(path)).and include("Copy it there")
    expect { store::ChangeLog.ever_given(workspace.table("pieces"), workspace.table("pieces").field("piece"), [1]) }
      .to raise_error(files::Missing, /Copy it there/)
  end

  it "are told from the database as long as they have not left it, though their file is gone", :tampers do
    work(Random.new(9), 6)
    expected = said.except(:verdict)
    move.call(store::ChangeLog.latest - 3, clears: false)
    FileUtils.rm_f(files.path(files.all.first))
    store::Database.close
    expect([files.missing.length, files.lost]).to eq([1, []])
    expect(said.except(:verdict)).to eq(expected)
  end

  it "can't leave the database before they lie in a file" do
    expect { connection.execute("DELETE FROM up_tack_entries WHERE id = 1") }.to raise_error(/only be added to/)
    last = store::ChangeLog.latest - 5
    move.call(last)
    [last + 1, last + 3].each do |id|
      expect { connection.execute("DELETE FROM main.up_tack_entries WHERE id = #{id}") }.to raise_error(/only be added/)
    end
  end

  it "are told of field by field in rows that go on from save to save, and only ever tell of more" do
    note = ->(id, text) { save_piece({"maker_note" => text}, id: id, at: "2026-11-23T09:30") }
    rows = -> { connection.select_value("SELECT COUNT(*) FROM up_tack_changed") }
    2.times { |index| note[2, "First #{index}"] }
    before = rows.call
    4.times { |index| note[2, "Text #{index}"] }
    expect(rows.call).to eq(before)
    move.call(store::ChangeLog.latest)
    note[2, "After the move"]
    expect(store::FieldChangeIndex.telling(workspace.table("pieces").field("maker_note").id).where(record_id: 2).count)
      .to be >= 2
    ["last_id = last_id - 1", "last_id = NULL", "entry_id = entry_id - 1", "field_id = 'f1'"].each do |tampered|
      expect { connection.execute("UPDATE main.up_tack_changed SET #{tampered}") }.to raise_error(/only be added to/)
    end
  end

  it "come along with backups, and are there again after a restore and another move" do
    backups = uses::Maintenance::Backups.new(clock, person: person)
    work(Random.new(3), 8)
    early = backups.make
    work(Random.new(4), 8)
    move.call(store::ChangeLog.latest)
    made = backups.make
    before = said
    beside = File.join(File.dirname(store::Backups.new.path(made.name)), "log", files.all.first.name)
    expect(File.file?(beside)).to be(true)
    # The command copies a database that it has not opened.
    path = store::Database.path
    store::Database.close
    Dir.mktmpdir do |folder|
      store::Backups.new(path).make("hand", to: File.join(folder, "away.sqlite3"))
      expect(Dir.children(File.join(folder, "log"))).to eq([File.basename(beside)])
    end
    store::Database.connect(path)
    expect(uses::Maintenance::ProveRestore.new(clock, person: person).call).to have_attributes(sound: true)
    FileUtils.rm_rf(files.folder)
    backups.restore(made.name)
    expect(said[:pages].dig(0, 3).length).to eq(before[:pages].dig(0, 3).length + 1)
    # A backup of before the move, whose log went on in another way.
    backups.restore(early.name)
    work(Random.new(5), 8)
    expected = said
    move.call(store::ChangeLog.latest)
    expect(said).to eq(expected)
    expect(files.named(files.folder).length).to eq(2)
  end

  it "are read by a process that had the database open before" do
    reader, writer = IO.pipe
    answer, told = IO.pipe
    path = store::Database.path
    store::Database.close
    child = fork do
      store::Database.connect(path)
      2.times do
        reader.gets
        store::Generation.follow
        ActiveRecord::Base.connection_handler.clear_active_connections!
        told.puts [store::Entry.where("id > 0").count, store::LogFiles.last].join(" ")
      end
      exit!
    end
    writer.puts
    count = store::ChangeLog.latest
    expect(answer.gets).to eq("#{count} 0\n")
    move.call(count)
    writer.puts
    expect(answer.gets).to eq("#{count} #{count}\n")
  ensure
    Process.wait(child)
  end
end
