# frozen_string_literal: true

require "store_helper"
require "support/foreign_database"

# Databases that nobody here made, handed over in every way, come in with every cell and every link as they were.
RSpec.describe "A whole database" do
  imports = UpTack::UseCases::Imports
  around { |example| Dir.mktmpdir { |folder| (@folder = folder) && example.run } }

  define_method(:brought) { |path| imports::Uploads.new(person).add(File.open(path, "rb"), File.basename(path)) }
  define_method(:looked) { |upload| imports::Collections.new(workspace).call(upload) }
  define_method(:taken) do |upload, wishes, keep: "all", of: workspace|
    imports::ImportCollection.new(of).call(upload: upload, tables: wishes, keep: keep)
  end

  def records(key) = UpTack::Store::RecordTable.new(workspace.table(key)).to_enum(:each).to_a

  # Rows as they were: links by the keys of the records to which they lead.
  def as_it_was(proposed)
    keys = proposed.to_h { |table| [table.key, records(table.key).to_h { |id, row| [id, row] }] }
    proposed.to_h do |table|
      rows = keys[table.key].values.map do |row|
        table.fields.map do |field|
          value = row[field.key]
          next value unless field.refers && value

          to = proposed.find { |each| each.key == field.target }
          keys[to.key][value][to.fields.find { |each| each.column == field.refers }.key]
        end
      end
      [table.name, rows]
    end
  end

  def told(value)
    case value
    when Integer, BigDecimal then BigDecimal(value)
    when Date then value.iso8601
    when Time then value.in_time_zone("Europe/Dublin").strftime("%Y-%m-%d %H:%M:%S")
    else value
    end
  end

  random = Random.new(RSpec.configuration.seed)
  foreign = ForeignDatabase.new(random)
  foreign.ways.each do |way, write|
    it "comes in whole as #{way}, and goes as one" do
      path = write.call(@folder)
      before = workspace.project
      found, proposed = looked(brought(path))
      expect(proposed.map(&:name)).to match_array(foreign.rows.keys)
      expect(proposed.map(&:problem)).to all(be_nil)
      expect(proposed.flat_map(&:fields).count(&:refers)).to eq((way == "archive") ? 2 : 4)
      result = taken(brought(path), proposed.map(&:wish))
      expect(result.tables.map { |table| table.report.refused.map(&:refusals) }).to all(be_empty)
      foreign.rows.each do |table, rows|
        expected = rows.map { |row| row.map { |cell| told(cell) } }
        found_there = as_it_was(proposed)[table].map { |row| row.map { |cell| told(cell) } }
        expect(found_there.sort_by(&:first)).to eq(expected.sort_by(&:first))
      end
      expect(UpTack::UseCases::History::UndoBatch.new(workspace).call(result.batch.id).left).to eq(0)
      expect(proposed.flat_map { |table| records(table.key) }).to be_empty
      design.undo
      expect(workspace.project.attributes.except("last_id")).to eq(before.attributes.except("last_id"))
      expect(found.kind).to eq(way.start_with?("SQL") ? "dump" : way)
    end
  end

  def pots(sql, path = File.join(@folder, "pots.sqlite"))
    FileUtils.rm_f(path)
    db = SQLite3::Database.new(path)
    db.execute_batch(sql)
    db.close
    path
  end

  def contents
    rows = workspace.project.tables.map do |table|
      UpTack::Store::Database.connection.select_rows("SELECT * FROM \"#{table.key}\" ORDER BY id")
    end
    [workspace.project.attributes.except("last_id"), UpTack::Store::RunningBatch.count, rows]
  end

  it "leaves neither tables nor records when it is stopped, killed or refused" do
    rows = (1..1500).map { |n| "INSERT INTO jars VALUES (#{n}, 'Jar #{n}', #{(n > 1) ? n - 1 : "NULL"});" }.join
    path = pots("CREATE TABLE jars (id INTEGER PRIMARY KEY, name TEXT, after_id INTEGER REFERENCES jars(id));#{rows}")
    upload = brought(path)
    wishes = looked(upload).last.map(&:wish)
    before = contents
    running = UpTack::Store::RunningBatch
    bring_in = lambda do |keep = "passing", &halfway|
      progress = UpTack::Progress.new
      progress.define_singleton_method(:set) do |*at|
        super(*at)
        halfway.call(self) if running.first&.done.to_i >= 60
      end
      asked = {upload: upload, tables: wishes, keep: keep}
      UpTack::Work.call("import of tables", asked, person: person, progress: progress)
    end
    expect { bring_in.call(&:stop) }.to raise_error(UpTack::Progress::Stopped)
    expect(contents).to eq(before)
    kill = ->(_) { Process.kill(:KILL, File.read(running.lock_path(running.first.batch_id)).to_i) }
    expect { bring_in.call(&kill) }.to raise_error(UpTack::Work::Lost)
    expect(contents).to eq(before)
    wishes.first["fields"][1]["rules"] = [{"kind" => "length", "most" => 5}]
    result = bring_in.call("all") { nil }
    expect([result.batch, result.tables.first.report.refused_count]).to eq([nil, 1491])
    expect(contents).to eq(before)
    result = bring_in.call { nil }
    expect([result.tables.first.made, records("jars").length]).to eq([9, 9])
    expect(records("jars").filter_map { |_, row| row["after_id"] }).to eq((1..8).to_a)
  end

  it "leaves binary values out of a dump, and the texts beside them as they are" do
    path = File.join(@folder, "jars.sql")
    File.binwrite(path, "-- it's a dump\n/*!40101 SET NAMES utf8mb4 */;\n--\n-- `jars`\n--\n" \
      "CREATE TABLE `jars` (`id` int NOT NULL, `name` varchar(20), `seal` blob, PRIMARY KEY (`id`)) ENGINE=x;\n" \
      "INSERT INTO `jars` VALUES (1,'Zoë ☃','\\0\xFF\xC3'),\n(2,'\xC9mile',NULL);\n".b)
    upload = brought(path)
    tables = looked(upload).last
    expect(tables.first.notes.join).to include("seal: one value is binary")
    expect(taken(upload, tables.map(&:wish)).tables.first.made).to eq(2)
    expect(records("jars").map { |_, row| row.to_h.values_at("name", "seal") }).to eq([["Zoë ☃", nil], ["Émile", nil]])
  end

  it "says what it can't take, word for word, and takes the rest" do
    path = pots(<<~SQL)
      CREATE TABLE "Größe, (x)" ("a b" INTEGER, "select" TEXT, "a  b" TEXT, PRIMARY KEY ("a b", "select"));
      CREATE TABLE pairs (one INTEGER, two TEXT, n INTEGER CHECK (n % 2 = 0), photo BLOB DEFAULT (randomblob(4)),
        grade TEXT DEFAULT 'A' CHECK (grade IN ('A', 'B')), big INTEGER,
        state TEXT CHECK (state IN ('new', 'New', 'old')), made TEXT CHECK (made <> ''), CHECK (n / 3 < 9),
        FOREIGN KEY (one, two) REFERENCES "Größe, (x)");
      CREATE VIRTUAL TABLE found USING fts5(body);
      CREATE UNIQUE INDEX one_big ON pairs (big);
      CREATE UNIQUE INDEX by_capitals ON pairs (lower(two), grade);
      INSERT INTO "Größe, (x)" VALUES (1, 'x', 'y');
      INSERT INTO pairs VALUES (1, 'x', 4, x'ff', NULL, 9007199254740993, 'New', NULL);
      CREATE TABLE "nothing" (only_column TEXT NOT NULL);
    SQL
    found, proposed = looked(brought(path))
    expect(proposed.map(&:name)).to eq(["Größe, (x)", "pairs", "nothing"])
    expect(proposed[0].rules.map(&:words)).to eq(["unique together: A b, Select"])
    expect(proposed[1].notes.join("\n")).to include(
      "default of photo is not imported: randomblob(4)", "The link of one, two to Größe, (x)", "n % 2 = 0", "n / 3 < 9",
      "made <> ''"
    )
    unique = proposed[1].fields.select { |field| field.rules.any? { |rule| rule.words == "unique" && !rule.doubtful } }
    expect([unique.map(&:column), proposed[1].rules]).to eq([["big"], []])
    grade = proposed[1].fields.find { |field| field.column == "grade" }
    expect(grade).to have_attributes(type: "choice", choices: %w[A B])
    result = taken(brought(path), proposed.map(&:wish))
    expect(result.tables.map(&:made)).to eq([1, 1, 0])
    pair = records("pairs").first.last
    expect(%w[grade photo big state made].map { |key| pair[key] }).to eq([nil, nil, "9007199254740993", "New", nil])
    expect(found.notes).to eq([])
  end

  it "takes linked tables first, whichever stands first in the file, and those in a circle one after the other" do
    path = pots(<<~SQL)
      CREATE TABLE shards (id INTEGER PRIMARY KEY, pot_id INTEGER NOT NULL REFERENCES pots(id));
      CREATE TABLE pots (id INTEGER PRIMARY KEY, lid_id INTEGER NOT NULL REFERENCES lids(id));
      CREATE TABLE lids (id INTEGER PRIMARY KEY, pot_id INTEGER NOT NULL REFERENCES pots(id));
      INSERT INTO shards VALUES (7, 4), (8, 5);
      INSERT INTO pots VALUES (4, 2), (5, 3);
      INSERT INTO lids VALUES (2, 5), (3, 4);
    SQL
    upload = brought(path)
    _, proposed = looked(upload)
    result = taken(upload, proposed.map(&:wish))
    expect(result.tables.map(&:key).last).to eq("shards")
    expect(as_it_was(proposed).transform_values { |rows| rows.map { |row| row.map(&:to_i) } }).to eq(
      "shards" => [[7, 4], [8, 5]], "pots" => [[4, 2], [5, 3]], "lids" => [[2, 5], [3, 4]]
    )
    expect(result.tables.flat_map(&:notes)).to match([/ is not required: its records are linked/])
  end

  it "refuses what is broken, and never comes in by half" do
    before = contents
    texts = foreign.ways.to_h { |way, write| [way, File.binread(write.call(Dir.mktmpdir(nil, @folder)))] }
    cut = texts.flat_map { |way, bytes| (1..9).map { |tenth| [way, bytes[0, bytes.bytesize * tenth / 10]] } }
    cut += [["noise", "SQLite format 3\0#{Random.bytes(9_000)}"], ["noise", "PK\3\4#{Random.bytes(900)}"],
      ["empty", "-- nothing\n;"]]
    cut.each do |way, bytes|
      path = File.join(@folder, "cut")
      File.binwrite(path, bytes)
      upload = brought(path)
      begin
        _, proposed = looked(upload)
        # What is still whole may come in; nothing else may happen.
        wishes = proposed.reject(&:problem).map(&:wish)
        taken(upload, wishes, keep: "none") if wishes.any?
      rescue UpTack::Interchange::Unreadable, UpTack::Core::Invalid => e
        expect(e.message).to match(/\A[^\n]{10,}\.\z/), way
      end
    end
    expect(contents).to eq(before)
    pots((1..501).map { |n| "CREATE TABLE t#{n} (a);" }.join, File.join(@folder, "many.sqlite"))
    many = brought(File.join(@folder, "many.sqlite"))
    expect { looked(many) }.to raise_error(UpTack::Interchange::Unreadable, /501 tables/)
    clerk = workspace("Bram Tolley")
    upload = brought(pots("CREATE TABLE a (b TEXT)"))
    expect { taken(upload, looked(upload).last.map(&:wish), of: clerk) }.to raise_error(UpTack::Services::NotAllowed)
  end

  it "brings its own exports back, every value and moment" do
    exports = UpTack::UseCases::Exports::Database.new(workspace)
    own = exports.tables
    before = own.to_h { |table| [table.key, records(table.key)] }
    dialects = UpTack::Interchange::SchemaExport::Dialect::ALL
    [:sqlite, :package, *dialects.keys].each do |kind|
      path = File.join(@folder, "own.#{kind}")
      dialects[kind] ? File.open(path, "wb") { exports.sql(_1, dialects[kind]) } : exports.public_send(kind, path)
      upload = brought(path)
      _, proposed = looked(upload)
      expect(proposed.map(&:problem)).to all(be_nil)
      result = taken(upload, proposed.map(&:wish))
      expect(result.tables.map { |table| table.report.refused.map(&:refusals) }).to all(be_empty)
      own.each do |table|
        there = proposed.find { |each| each.name == table.key }
        keys = table.kept_fields.reject(&:link?).map(&:key)
        columns = keys.map { |key| there.fields.find { |field| field.column == key } }
        found = records(there.key).map { |_, row| columns.map { |field| told(row[field.key]) } }
        expect(found).to eq(before[table.key].map { |_, row| keys.map { |key| told(row[key]) } })
      end
      design.undo
    end
  end
end
