# frozen_string_literal: true

require "store_helper"

RSpec.describe "The change log and what it knows" do
  def tamper(*statements)
    connection = UpTack::Store::Database.connection
    connection
      .select_values("SELECT name FROM sqlite_master WHERE type = 'trigger' AND name LIKE 'up_tack_entries%'")
      .each { |name| connection.execute("DROP TRIGGER #{name}") }
    statements.each { |statement| connection.execute(statement) }
    UpTack::Store::LogCheck.run
  end

  def put_back(entry, field: nil, by: "Odile Marsh") =
    UpTack::UseCases::History::PutBack.new(workspace(by)).call(entry: entry, field: field).last

  def pin(kind, field, **parts) =
    change(:PinRule, table: "pieces", rule: {"kind" => kind, "field" => field}.merge(parts.transform_keys(&:to_s)))

  def add(fields) =
    fields.each { |label, type| change(:AddField, table: "pieces", parts: {"label" => label, "type" => type}) }

  it "holds from the first entry to the last" do
    expect(UpTack::Store::LogCheck.run).to have_attributes(
      sound: true,
      entries: UpTack::Store::Entry.count,
      set_back: []
    )
  end

  {
    "UPDATE up_tack_entries SET person_name = 'Nobody' WHERE id = 7" => 7,
    "UPDATE up_tack_entries SET made_at = '2026-01-01 00:00:00' WHERE id = 9" => 9,
    "UPDATE up_tack_entries SET differences = replace(differences, 'Ansa', 'Anna') WHERE " \
      "differences LIKE '%Ansa Velt%'" => :some,
    "DELETE FROM up_tack_entries WHERE id = 12" => 12,
    "DELETE FROM up_tack_entries WHERE id > 20" => 21,
    "INSERT INTO up_tack_entries (id, made_at, person_name, way, action, table_id, record_id, " \
      "revision_id, differences, seal) SELECT max(id) + 1, made_at, 'x', way, action, table_id, " \
      "1, 1, '[]', 'abc' FROM up_tack_entries" => :last,
    "UPDATE up_tack_entries SET seal = NULL WHERE id = 5" => 5
  }.each do |statement, expected|
    it "names the first entry that does not hold after: #{statement[0, 60]}", :tampers do
      verdict = tamper(statement)
      expected = {
        some: UpTack::Store::Entry.where("differences LIKE '%Anna Velt%'").minimum(:id),
        last: UpTack::Store::Entry.maximum(:id)
      }.fetch(expected, expected)
      expect(verdict).to have_attributes(sound: false, broken: expected)
    end
  end

  it "is checked by a command, which tells of a clock that was set back", :tampers do
    path = UpTack::Store::Database.path
    run = lambda do
      out = StringIO.new
      status = UpTack::Commands.run(["verify-log", path], out: out, err: out)
      UpTack::Store::Database.open(path)
      [status, out.string]
    end
    count = UpTack::Store::Entry.count
    expect(run.call).to match(
      [
        0,
        Regexp.new(
          "\\Achange log: #{count} entries and 5 events verified\n" \
            "up to entry #{count} \\(seal \\h{64}\\) and event 5 .*, signed under key \\h{16}\n\\z"
        )
      ]
    )
    save_piece(good_piece, at: "2027-03-02T10:00")
    save_piece(good_piece, at: "2027-03-01T10:00")
    expect(run.call).to match(
      [
        0,
        Regexp.new(
          "\\Achange log: before entry #{count + 2} the clock was set back by 1 day\n" \
            "change log: #{count + 2} entries and 5 events verified\n"
        )
      ]
    )
    tamper("UPDATE up_tack_entries SET record_title = 'x' WHERE id = 3")
    expect(run.call).to match([1, /^change log: The entry 3, or the one before it, was changed/])
    expect(UpTack::Commands.run(["verify-log", "#{path}.gone"], out: StringIO.new, err: StringIO.new)).to eq(2)
    UpTack::Store::Database.open(path)
  end

  it "finds the entries that tell of a field, be they many in a row or few, and kept by an older version", :tampers do
    table = workspace.table("pieces")
    drafts =
      Array.new(40) do |index|
        {typed: good_piece.merge((index % 7 == 3) ? {} : {"maker_note" => "##{index}"})}
      end
    UpTack::UseCases::Bulk::Write.new(workspace).call(table: "pieces", drafts: drafts, summary: "Forty pieces")
    save_piece({"maker_note" => "Late."}, id: 20)
    connection = UpTack::Store::Database.connection
    connection.execute("DROP TRIGGER up_tack_changed_no_update")
    connection.execute("UPDATE up_tack_changed SET last_id = NULL WHERE last_id = entry_id")
    expect(connection.select_value("SELECT COUNT(*) FROM up_tack_changed WHERE last_id > entry_id")).to be > 5
    table.fields.each do |field|
      telling =
        UpTack::Store::Entry
          .order(id: :desc)
          .select { |entry| entry.field_changes.any? { |change| change.field_id == field.id } }
      expect(UpTack::Store::FieldChangeIndex.entries(field.id).sort_by { |entry| -entry.id }).to eq(telling)
      expect(UpTack::Store::FieldChangeIndex.telling(field.id).order(id: :desc).to_a).to eq(telling)
      ids = telling.map(&:record_id).uniq
      expect(UpTack::Store::ChangeLog.ever_given(table, field, [*1..200])).to match_array(ids & [*1..200])
    end
  end

  # What a question asks for, told by going through everything: as newest, all of them, and in each period.
  def gone_through(question, seen, before, limit, edges)
    found = UpTack::Store::Entry.includes(:batch).order(id: :desc).select do |entry|
      changes = entry.field_changes
      [
        question[:table].nil? || entry.table_id == question[:table].id, seen.nil? || seen.include?(entry.table_id),
        question[:record].nil? || entry.record_id == question[:record],
        question[:person].nil? || entry.person_id == question[:person],
        question[:channel].nil? || entry.channel == question[:channel],
        question[:batch].nil? || entry.batch_id == question[:batch],
        question[:from].nil? || entry.made_at >= question[:from], question[:to].nil? || entry.made_at < question[:to],
        question[:field].nil? || changes.any? { |change| change.field_id == question[:field] },
        question[:rule].nil? || changes.any? { |change| change.to_a[5] == question[:rule] }
      ].all?
    end
    each = question.key?(:record) || question.key?(:batch)
    shown = each ? found : found.uniq { |entry| entry.batch_id || -entry.id }
    shown = shown.select { |entry| before.nil? || entry.id < before }.first(limit)
    moments = found.map(&:made_at)
    counts = edges.each_cons(2).map { |from, to| moments.count { |moment| moment >= from && moment < to } }
    [shown.map(&:id), found.map(&:id), moments.minmax.compact, counts]
  end

  it "finds what going through all of the log finds, whatever is asked" do
    random = Random.new(RSpec.configuration.seed)
    table = workspace.table("pieces")
    uses = UpTack::UseCases
    days = Array.new(5) { |day| "2027-01-0#{day + 1}T#{10 + day}:#{15 * random.rand(4)}" }
    batches = days.flat_map do |day|
      id = [20, 21, 25].sample(random: random)
      save_piece({"maker_note" => day, "stage" => "Bisque fired"}, id: id, by: "Bram Tolley", at: day)
      by = workspace("Odile Marsh", at: day)
      made = uses::Bulk::Change.new(by).call(table: "pieces", kind: "change", keep: "all",
        ids: pieces.page(limit: 100).map(&:first).sample(12, random: random), typed: {"maker_note" => "All on #{day}"})
      uses::Records::SaveRecord.new(by).call(table: "clays", typed: {"limit" => (1_200 + random.rand(40)).to_s}, id: 1)
      made.batch.id
    end
    from, *, to = edges = [0, 7, 30, 31, 55, 200].map { |hours| Time.utc(2027, 1, 1, 3) + (hours * 3_600) }
    halves = edges.map { |edge| edge + 1_800 }
    parts = {
      table: [table, workspace.table("clays")], person: [person.id, person("Bram Tolley").id], from: [from], to: [to],
      channel: %w[form bulk import], rule: table.rules.map(&:id), record: [20, 21, 25], batch: batches
    }
    40.times do
      picked = parts.to_a.sample(random.rand(3), random: random)
      question = picked.to_h { |part, some| [part, some.sample(random: random)] }
      if random.rand(2).zero?
        field = table.field(%w[maker_note stage piece].sample(random: random))
        question = question.merge(table: table, field: field.id)
      end
      seen = [nil, nil, [table.id]].sample(random: random)
      seen = nil if question.key?(:table)
      before = [nil, random.rand(UpTack::Store::ChangeLog.latest)].sample(random: random)
      limit, sides = random.rand(1..9), [edges, halves].sample(random: random)
      asked = uses::History::Entries.new(uses::History::Question.new(**question), seen: seen)
      all = [].tap { |found| asked.each_batch { |some| found.concat(some) } }
      told = [asked.page(before: before, limit: limit), all].map { |entries| entries.map(&:id) }
      told += [asked.periods.span || [], asked.periods.counts(sides).map(&:last)]
      expect([question, told]).to eq([question, gone_through(question, seen, before, limit, sides)])
    end
  end

  it "watches the fields that the builder chose, and keeps one entry a save all the same" do
    ids = workspace.table("pieces").fields.to_h { |field| [field.key, field.id] }
    change(:ChangeTable, table: "pieces", parts: {"log" => {"only" => [ids["stage"]]}})
    answer = save_piece({"maker_note" => "Quiet.", "piece" => "Dish"}, id: 20)
    expect(entries(table: workspace.table("pieces"), record: 20).first).to have_attributes(
      id: answer.record.version,
      field_changes: []
    )
    change(:ChangeTable, table: "pieces", parts: {"log" => {"all_but" => ids.except("piece").values}})
    save_piece({"maker_note" => "Quieter.", "piece" => "Bowl"}, id: 20)
    expect(entries(record: 20, table: workspace.table("pieces")).first.field_changes.map(&:field_label)).to eq(
      ["Piece"]
    )
    expect { change(:ChangeTable, table: "pieces", parts: {"log" => {"some" => []}}) }.to raise_error(
      Core::Invalid
    )
  end

  it "finds entries by person, field, rule, way and period" do
    table = workspace.table("pieces")
    save_piece({"stage" => "Bisque fired"}, id: 25, by: "Bram Tolley", at: "2027-01-05T10:00")
    save_piece({"piece" => "Dish"}, id: 25, by: "Bram Tolley", at: "2027-01-06T00:30")
    from = Time.utc(2027, 1, 1)
    expect(entries(table: table, person: person("Bram Tolley").id, from: from).length).to eq(2)
    expect(entries(table: table, field: table.field("stage").id, from: from).map(&:record_id)).to eq([25])
    expect([entries(table: table, to: from),
      entries(table: table, channel: "import")].map(&:empty?)).to eq([false, true])
    default = table.rules.find { |rule| rule.kind == "default" && rule.field == "received" }
    expect(entries(table: table, rule: default.id).map(&:action).uniq).to eq(["create"])
  end

  it "puts back one value, or the record as it was, through the rules and as a new entry" do
    save_piece({"maker_note" => "First."}, id: 20)
    middle = save_piece({"maker_note" => "Second.", "fragile" => "yes"}, id: 20).record.version
    save_piece({"maker_note" => "Third.", "piece" => "Dish"}, id: 20, by: "Senna Whitlock")
    note = workspace.table("pieces").field("maker_note").id
    expect(put_back(middle, field: note).record.values["maker_note"]).to eq("First.")
    expect(put_back(middle, by: "Bram Tolley").record.values).to include("maker_note" => "First.", "fragile" => false)
    expect(pieces.find(20)["piece"]).not_to eq("Dish")
    expect(entries(table: workspace.table("pieces"), record: 20).first).to have_attributes(
      channel: "put back",
      person_name: "Bram Tolley",
      action: "update"
    )
    expect { put_back(middle) }.to raise_error(Core::Invalid, /already in that state/)
  end

  it "brings a deleted record back with its number and all that it held" do
    before = pieces.find(21)
    UpTack::UseCases::Records::DeleteRecord.new(workspace).call(table: "pieces", id: 21)
    deleted = UpTack::Store::Entry.last.id
    answer = put_back(deleted)
    expect(answer.state).to eq(:saved), answer.outcome&.refusals.inspect
    expect(pieces.find(21).except("changed_on", "changed_by")).to eq(before.except("changed_on", "changed_by"))
    expect(UpTack::Store::Entry.last).to have_attributes(record_id: 21, action: "restore", way: "put back")
    expect { put_back(deleted) }.to raise_error(Core::Invalid, "This record already exists.")
  end

  it "fills new stamps and tallies of old records with what it knows, and only what is blank" do
    add("Begun" => "moment", "Begun by" => "text", "Touched" => "date", "Fired on" => "date", "Touches" => "number")
    created = save_piece(good_piece, by: "Senna Whitlock", at: "2027-01-04T09:15").record.id
    save_piece({"stage" => "Bisque fired"}, id: created, at: "2027-01-05T10:00")
    save_piece({"piece" => "Jug"}, id: created, at: "2027-01-06T10:00", by: "Bram Tolley")
    pin("stamp", "begun", event: "made")
    pin("stamp", "begun_by", event: "made")
    pin("stamp", "touched", event: "changed", watch: ["piece"])
    pin("stamp", "fired_on", event: "reached", when: 'stage = "Bisque fired"')
    pin("tally", "touches", watch: %w[piece stage])
    expect(pieces.find(created)).to include(
      "begun" => Time.utc(2027, 1, 4, 9, 15),
      "begun_by" => "Senna Whitlock",
      "touched" => Date.new(2027, 1, 6),
      "fired_on" => Date.new(2027, 1, 5),
      "touches" => 2
    )
  end

  it "keeps the account's lines in the order of events, daylight saving right, also for imports and the API" do
    add("Tale" => "long_text", "Waxed" => "yes_no")
    pin("line", "tale", event: "ticked", tick: "waxed", formula: '"Waxed by " & user.name')
    save_piece({"waxed" => "yes"}, id: 20, by: "Bram Tolley", at: "2027-01-05T10:00")
    save_piece({"waxed" => "no"}, id: 20, at: "2027-01-05T11:00")
    save_piece({"waxed" => true}, id: 20, by: "Senna Whitlock", at: "2027-07-05T10:00")
    expect(pieces.find(20)).to include(
      "waxed" => false,
      "tale" => "5 Jan 2027, 10:00  Waxed by Bram Tolley\n5 Jul 2027, 10:00  Waxed by Senna Whitlock"
    )
    ticks = UpTack::Store::Entry.where(record_id: 20).last.field_changes.select { |each| each.field_label == "Waxed" }
    expect(ticks.map(&:values)).to eq([[false, true], [true, false]])
    expect(UpTack::Store::Entry.last.made_at).to eq(Time.utc(2027, 7, 5, 9))
  end

  it "stamps a record whose calculated value came true because another record was saved, as an entry of its own" do
    add = ->(label, type) { change(:AddField, table: "members", parts: {"label" => label, "type" => type}) }
    pin_member = ->(kind, field, **parts) do
      change(
        :PinRule,
        table: "members",
        rule: {"kind" => kind, "field" => field}.merge(parts.transform_keys(&:to_s))
      )
    end
    add.call("Settled on", "date")
    add.call("Seen", "moment")
    pin_member.call(
      "stamp",
      "settled_on",
      event: "reached",
      when: "open_orders = 0 and joined < date(\"2026-01-01\")",
      which: "last"
    )
    pin_member.call("stamp", "seen", event: "changed")
    seen = UpTack::Store::RecordTable.new(workspace.table("members")).find(2)["seen"]
    UpTack::UseCases::Records::SaveRecord.new(workspace("Odile Marsh", at: "2027-01-05T10:00")).call(
      table: "orders",
      id: 9,
      typed: {"status" => "Paid"}
    )
    expect(UpTack::Store::RecordTable.new(workspace.table("members")).find(2)).to include(
      "settled_on" => Date.new(2027, 1, 5),
      "open_orders" => 0,
      "seen" => seen
    )
    expect(UpTack::Store::Entry.last).to have_attributes(
      channel: "rule",
      action: "update",
      record_id: 2,
      person_name: "Odile Marsh"
    )
    expect(UpTack::Store::Entry.last.field_changes.map(&:field_label)).to eq(["Open orders €", "Settled on"])
    expect(UpTack::Store::LogCheck.run).to have_attributes(sound: true)
  end
end
