# frozen_string_literal: true

# The import of a CSV file of 100,000 records of 14 fields under twelve rules with the log
# on, beside a hand-written Active Record model with paper_trail (fewer records, by the
# record, half of them before and half after), and beside bare SQLite with the same rules as
# checks, generated columns and a log by triggers. The model runs once as Ruby starts by
# itself, and once compiled and with as much room for memory as the import has. Memory is
# that of the import's own process, and of the one that works ahead for it. Then the same number into the demo's
# Pieces, under all of its rules, as the server does it.

require "csv"
require_relative "support/demo_pieces"
require_relative "support/studio"

RECORDS = Integer(ENV.fetch("RECORDS", "100000"))
BY_HAND = Integer(ENV.fetch("BY_HAND", "3000"))

def file(folder)
  path = File.join(folder, "pieces.csv")
  CSV.open(path, "w") do |csv|
    csv << %w[Piece Maker Clay Tare Wet Firing Peak Note]
    RECORDS.times do |index|
      typed = piece(index)
      csv << [*typed.values_at("piece", "maker", "clay", "tare", "wet", "firing", "peak"), "Shelf #{index % 90}"]
    end
  end
  path
end

def memory(pid = "self") = File.read("/proc/#{pid}/status")[/VmHWM:\s+(\d+)/, 1].to_i / 1024

# Looks, after each portion, how much memory the process has that works ahead.
class Looking < UpTack::Progress
  attr_reader :ahead

  def begin_ahead(workspace, **job) = @process = UpTack::UseCases::Imports::WorkerClient.begin(workspace, **job)

  def advance(count)
    super
    @ahead = [@ahead.to_i, memory(@process.pid)].max if @process
  rescue Errno::ENOENT
    nil
  end
end

# In a process of its own, whose highest memory is told.
def import(folder, path)
  reader, writer = IO.pipe
  child =
    fork do
      reader.close
      open_studio(folder, "import.sqlite3")
      before = memory
      looking = Looking.new
      result = nil
      taken =
        seconds do
          source = UpTack::Interchange::Source.open(path)
          looked = UpTack::UseCases::Imports::FileAnalysis.new(workspace).call(source, workspace.table("pieces"))
          result =
            UpTack::UseCases::Imports::Run.new(
              workspace,
              progress: looking,
              ahead: looking.method(:begin_ahead)
            ).call(
              source: source,
              table: "pieces",
              settings: looked.settings,
              keep: "all",
              name: "pieces.csv",
              rows: looked.rows
            )
        end
      abort("refused") unless result.made == RECORDS
      writer.puts [taken, before, memory, looking.ahead.to_i].join(" ")
      exit!(0)
    end
  writer.close
  Process.wait(child)
  reader.read.split.map(&:to_f)
end

BARE = <<~SQL
  CREATE TABLE pieces (
    id INTEGER PRIMARY KEY, tag TEXT UNIQUE, piece TEXT NOT NULL CHECK (trim(piece) <> ''), maker TEXT NOT NULL,
    clay NUMERIC, tare NUMERIC, wet NUMERIC CHECK (clay + tare = wet),
    firing TEXT CHECK (firing IN ('Bisque', 'Glaze', 'Lustre', 'Raku')),
    peak NUMERIC CHECK (peak BETWEEN 600 AND 1300), received DATE DEFAULT (date('now')),
    collect_by DATE GENERATED ALWAYS AS (date(received, '+14 days')) STORED, made_by TEXT, changed_on TEXT,
    edits NUMERIC DEFAULT 0, note TEXT, CHECK (NOT (firing = 'Raku' AND peak > 1000)));
  CREATE TABLE log (id INTEGER PRIMARY KEY, at TEXT, record INTEGER, who TEXT, changes TEXT);
  CREATE INDEX log_by_record ON log (record);
  CREATE TRIGGER logged AFTER INSERT ON pieces BEGIN
    INSERT INTO log (at, record, who, changes) VALUES (datetime('now'), NEW.id, NEW.made_by,
      json_object('tag', NEW.tag, 'piece', NEW.piece, 'maker', NEW.maker, 'clay', NEW.clay, 'tare', NEW.tare,
        'wet', NEW.wet, 'firing', NEW.firing, 'peak', NEW.peak, 'received', NEW.received,
        'collect_by', NEW.collect_by, 'note', NEW.note));
  END;
SQL

def bare(folder, path)
  require "sqlite3"
  database = SQLite3::Database.new(File.join(folder, "bare.sqlite3"))
  database.execute_batch("PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL; #{BARE}")
  insert =
    database.prepare(
      "INSERT INTO pieces (tag, piece, maker, clay, tare, wet, firing, peak, note, made_by, " \
        "changed_on) VALUES (printf('PC-%06d', ?), trim(replace(?, '  ', ' ')), ?, ?, ?, ?, ?, ?, " \
        "?, 'Odile Marsh', datetime('now'))"
    )
  count = 0
  seconds do
    database.transaction { CSV.foreach(path, headers: true) { |row| insert.execute(count += 1, *row.fields) } }
  end
end

# In a process of its own, so that it can be started in another way.
BY_HAND_ALONE = <<~RUBY
  require "csv"
  require #{File.expand_path("support/studio", __dir__).inspect}
  ByHand.open(ARGV.first)
  300.times { |index| ByHand::Piece.create!(piece(index)) }
  count = Integer(ARGV.last)
  puts seconds { count.times { |index| ByHand::Piece.create!(piece(index)) } } / count
RUBY

# @param compiled [Boolean] whether as the import is
# @return [Float] seconds for each record
def by_hand(compiled)
  Dir.mktmpdir do |folder|
    room = compiled ? {} : ROOM.transform_values { nil }
    IO.popen(
      [
        room,
        RbConfig.ruby,
        *(UpTack::Installation::COMPILING if compiled),
        "-rbundler/setup",
        "-e",
        BY_HAND_ALONE,
        folder,
        (BY_HAND / 2).to_s
      ],
      &:read
    ).to_f
  end
end

Dir.mktmpdir do |folder|
  path = file(folder)
  interpreted, compiled = by_hand(false), by_hand(true)
  ours, before, highest, ahead = import(folder, path)
  interpreted = (interpreted + by_hand(false)) / 2
  compiled = (compiled + by_hand(true)) / 2
  bare = bare(folder, path)
  each = ours / RECORDS
  puts format("import of %d records: %.1f s, %.3f ms each, %d a second", RECORDS, ours, each * 1000, RECORDS / ours)
  puts format(
    "Active Record with paper_trail, as Ruby starts by itself: %.3f ms each; ratio %.3f " \
      "(asked: 0.05)",
    interpreted * 1000,
    each / interpreted
  )
  puts format(
    "Active Record with paper_trail, compiled as the import is: %.3f ms each; ratio %.3f",
    compiled * 1000,
    each / compiled
  )
  puts format(
    "bare SQLite with checks, generated columns and a trigger log: %.1f s; ratio %.1f (aimed at: 5)",
    bare,
    ours / bare
  )
  puts format("memory: %d MB before, %d MB at most; %d MB in the process that works ahead", before, highest, ahead)
end

Dir.mktmpdir do |folder|
  path = DemoPieces.file(folder, RECORDS)
  DemoPieces.opened(folder) do
    taken, made, refused = DemoPieces.import(path)
    abort("refused: #{refused}") if refused.positive? || made != RECORDS
    puts format("import of %d of the demo's Pieces (%d rules, %d columns): %.1f s, %d a second", made, DemoPieces.rules,
      DemoPieces::COLUMNS.length, taken, made / taken)
  end
end
