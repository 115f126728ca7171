# frozen_string_literal: true

require "store_helper"

RSpec.describe "The store" do
  it "lets nobody change or remove a line of the change log or a revision, whatever the statement" do
    connection = UpTack::Store::Database.connection
    [
      "UPDATE up_tack_entries SET person_name = 'x'",
      "DELETE FROM up_tack_entries WHERE id = 1",
      "UPDATE up_tack_changed SET field_id = 'x'",
      "DELETE FROM up_tack_changed",
      "DELETE FROM up_tack_numbers",
      "UPDATE up_tack_entries SET seal = ''",
      "DELETE FROM up_tack_revisions",
      "UPDATE up_tack_revisions SET design = '{}'",
      "INSERT OR REPLACE INTO up_tack_entries SELECT * FROM up_tack_entries WHERE id = 1"
    ].each do |statement|
      expect { connection.execute(statement) }.to raise_error(ActiveRecord::StatementInvalid, /can only be added to/),
        statement
    end
  end

  it "pages through every record once, sorted by any column in both directions" do
    workspace
      .table("pieces")
      .fields
      .map(&:key)
      .push(nil)
      .product([false, true])
      .each do |sort, descending|
        found = []
        cursor = nil
        loop do
          page =
            UpTack::UseCases::Records::ListRecords.new(workspace).call(
              table: "pieces",
              sort: "#{"-" if descending}#{sort || "id"}",
              cursor: cursor,
              limit: 5
            )
          found += page.records
          cursor = page.following or break
        end
        expect(found.map(&:id).sort).to eq((1..28).to_a), "#{sort} #{descending}"
        context = workspace.context
        whole = ->(record) { workspace.plan("pieces").complete(record.id, record.values, context) }
        field = sort && workspace.table("pieces").field(sort)
        values =
          found
            .map { |record| sort ? whole.call(record)[sort] : record.id }
            .compact
            .map { |value| field&.link? ? field.show(value, context.records) : value }
            .map { |value| value.is_a?(String) ? value.downcase : value }
        values = values.map { |value| value ? 1 : 0 } if [true, false].include?(values.first)
        expect(values).to eq(descending ? values.sort.reverse : values.sort), "#{sort} #{descending}"
      end
  end

  it "puts blanks last in both directions" do
    [false, true].each do |descending|
      records =
        UpTack::UseCases::Records::ListRecords
          .new(workspace)
          .call(table: "pieces", sort: "#{"-" if descending}absorption", limit: 500)
          .records
      blanks = records.map { |record| record.values["absorption"].nil? }
      expect(blanks).to eq(blanks.sort_by { |blank| blank ? 1 : 0 })
    end
  end

  it "keeps numbers of fifteen digits, edges of dates and yes/no exactly" do
    change(:AddField, table: "pieces", parts: {"label" => "Exact", "type" => "number"})
    %w[
      0.1
      123456789012345
      -0.000000000000001
      0.0000000000000000000123456789012345
      0.0833333333333333
      99999999.9999999
      0
    ].each do |text|
      id =
        save_piece(
          good_piece.merge("exact" => text, "received" => "1/1/0001", "collect_by" => "9999-12-31", "fragile" => "no")
        ).record.id
      expect(pieces.find(id)).to include(
        "exact" => number(text),
        "received" => UpTack::Core::Calendar.day(1, 1, 1),
        "collect_by" => Date.new(9999, 12, 31),
        "fragile" => false
      )
    end
  end

  it "survives the process being killed right after a save was answered" do
    path = UpTack::Store::Database.path
    script = <<~RUBY
      require "#{UpTack::Installation::ROOT}/app/lib/up_tack/app"
      UpTack::Store::Database.open("#{path}")
      workspace = UpTack::Workspace.new(person: UpTack::Store::Person.first)
      answer = UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "pieces", typed: #{good_piece.inspect})
      puts answer.record.id
      $stdout.flush
      Process.kill(:KILL, Process.pid)
    RUBY
    id = IO.popen([RbConfig.ruby, "-rbundler/setup", "-e", script], &:read).to_i
    expect(pieces.find(id)).to include("piece" => "Mug")
    expect(UpTack::Store::ChangeLog.version_of(workspace.table("pieces"), id)).to be_a(Integer)
  end

  it "opens a file again without touching what is in it" do
    before = UpTack::Store::Entry.count
    UpTack::Store::Database.open(UpTack::Store::Database.path)
    expect(UpTack::Store::Entry.count).to eq(before)
    expect(UpTack::Store::Database.connection.select_value("PRAGMA journal_mode")).to eq("wal")
    expect(UpTack::Store::Database.connection.select_value("PRAGMA foreign_keys")).to eq(1)
  end

  it "fills the demo through its own rules, with its story in the log in order of time" do
    expect(workspace.project.tables.map { |table| [table.label, UpTack::Store::RecordTable.new(table).count] }).to eq(
      [
        ["Members", 12],
        ["Pieces", 28],
        ["Clays", 5],
        ["Orders", 12],
        ["Order lines", 3],
        ["Titles", 4],
        ["Firings", 55]
      ]
    )
    times = UpTack::Store::Entry.order(:id).pluck(:made_at)
    expect(times).to eq(times.sort)
    members = UpTack::Store::RecordTable.new(workspace.table("members"))
    expect((1..12).map { |id| members.find(id)["name"] }.tally["Ansa Velt"]).to eq(2)
  end

  it "waits for a writer without keeping it, or anybody else, from going on" do
    held, go = Queue.new, Queue.new
    holder = Thread.new { UpTack::Store::Database.write { (held << true) && go.pop } }
    held.pop
    waiting = Thread.new { person.update!(email: "odile@ember.example") }
    Thread.pass until waiting.status == "sleep"
    go << true
    expect([holder, waiting].map { |thread| thread.join(10) }).to all(be_a(Thread))
    expect(person.email).to eq("odile@ember.example")
  end

  def having(key, kind) =
    "SELECT id FROM pieces WHERE #{UpTack::Store::EqualityConditions.sql(kind, key)}"

  it "finds what must be unique by an index, however many records there are" do
    tag = workspace.table("pieces").field("tag")
    %w[PC-00012 PC–00012].flat_map { |text| UpTack::Store::EqualityConditions.alternatives(tag, text, false) }
      .each do |way|
        plan =
          UpTack::Store::Database
            .connection
            .raw_connection
            .execute("EXPLAIN QUERY PLAN #{having("tag", way.kind)}", [way.value])
            .map { |step| step["detail"] }
        expect(plan).to all(match(/SEARCH pieces|INDEX up_tack_find_\w+_beyond/))
      end
  end
end
