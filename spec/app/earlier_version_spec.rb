# frozen_string_literal: true

require "store_helper"
require "zlib"

# A database as the version before wrote it: the demo with twelve more pieces, one field more and a token.
RSpec.describe "A database of an earlier version", :tampers do
  let(:store) { UpTack::Store }

  around do |example|
    Dir.mktmpdir do |folder|
      @path = File.join(folder, "up_tack.sqlite3")
      File.binwrite(
        @path,
        Zlib.gunzip(File.binread(File.expand_path("../fixtures/database_before_keys.sqlite3.gz", __dir__)))
      )
      example.run
    end
  end

  def raw(sql) = SQLite3::Database.new(@path, readonly: true).then { |file| file.execute(sql).tap { file.close } }

  it "opens without loss, with its log sealed under a key and names as references" do
    before = raw("SELECT id, made_at, person_id, person_name, record_title, batch_id FROM up_tack_entries ORDER BY id")
    told = raw("SELECT differences FROM up_tack_entries ORDER BY id").flatten
    people = raw("SELECT name FROM up_tack_people").flatten
    store::Database.open(@path)
    expect(store::LogCheck.run).to have_attributes(sound: true, entries: before.length, faults: [])
    expect(
      store::Entry
        .order(:id)
        .map { |entry| [entry.id, entry.person_id, entry.person_name, entry.record_title, entry.batch_id] }
    ).to eq(before.map { |row| row.values_at(0, 2, 3, 4, 5) })
    expect(
      store::Entry
        .order(:id)
        .map do |entry|
          entry.field_changes.map { |change| change.to_a.map { |value| store::PersonNames.reveal(value) } }
        end
    ).to eq(told.map { |text| JSON.parse(text) })
    expect(
      raw("SELECT person_name, differences FROM up_tack_entries").flatten.count do |text|
        people.any? { |name| text == name }
      end
    ).to eq(0)
    expect([store::Settings.demo_people, store::Token.count, File.stat(@path).mode & 0o777]).to eq(
      [[1, 2, 3, 4], 1, 0o600]
    )
    expect(save_piece(good_piece).state).to eq(:saved)
    expect(UpTack::UseCases::History::UndoBatch.new(workspace).call(store::Batch.first.id)).to have_attributes(
      undone: 12,
      left: 0
    )
    expect(store::LogCheck.run.faults).to eq([])
  end

  it "is left as it is by a version before the one that wrote it" do
    store::Database.open(@path)
    store::Database.connection.execute("INSERT INTO up_tack_migrations (version) VALUES (10000)")
    store::Database.close
    bytes = File.binread(@path)
    expect { store::Database.open(@path) }.to raise_error(store::SystemTables::TooNew, /Install a newer version/)
    expect { store::Backups.check(@path) }.to raise_error(store::Backups::Unsound, /Install a newer version/)
    expect(File.binread(@path)).to eq(bytes)
  end

  it "says for good where its log did not hold when it was first opened" do
    file = SQLite3::Database.new(@path)
    file.execute("DROP TRIGGER up_tack_entries_no_update")
    file.execute("UPDATE up_tack_entries SET record_title = 'x' WHERE id = 30")
    file.close
    2.times { store::Database.open(@path) }
    expect(store::LogCheck.run).to have_attributes(
      sound: false,
      why: "Entry 30 was already altered when the log was first sealed with a key."
    )
  end
end

# The demo’s project file as the version before wrote it.
RSpec.describe "A project file of an earlier version" do
  it "is read without loss, and comes in to the last rule" do
    text = Zlib.gunzip(File.binread(File.expand_path("../fixtures/project_version_1.json.gz", __dir__)))
    content = Core::Design::ProjectFile.read(text)
    people = content.people.each_with_index.to_h { |each, index| [index + 1, each] }
    expect(content.version).to eq(1)
    expect(JSON.parse(Core::Design::ProjectFile.write(content.project, people))).to eq(
      JSON.parse(text).merge("version" => Core::Design::ProjectFile::VERSION)
    )
    UpTack::Store::Database.open(File.join(StoreHelp::FOLDER, "empty.sqlite3"))
    UpTack::UseCases::People::SetUp.new.call(
      code: UpTack::UseCases::People::SetUp.new_code,
      project: "Kiln",
      time_zone: "Europe/Dublin",
      person: {"name" => "Odile Marsh", "sign_in" => "odile", "password" => "four kilns in a row"}
    )
    UpTack::UseCases::Design::ApplyProjectFile.new(workspace).call(text)
    rules = JSON.parse(text)["tables"].to_h { |table| [table["key"], table["rules"].length] }
    expect(rules.keys.to_h { |key| [key, workspace.table(key).rules.length] }).to eq(rules)
  end
end
