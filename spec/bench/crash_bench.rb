# frozen_string_literal: true

# Kills long work in the middle, with SIGKILL, again and again, while two other processes save: now the process that
# asked for it, now the one that does it. After each it looks whether something half is there, whether a record is lost
# whose save was acknowledged, whether a number was given twice, and whether every calculated value and the log hold.
# Then the same with a server of two processes, of which one part or another is killed.

require_relative "support/studio"
require_relative "support/long_works"
require_relative "support/served"

KILLS = Integer(ENV.fetch("KILLS", "40"))
SERVED = Integer(ENV.fetch("SERVED", "20"))
ROWS = Integer(ENV.fetch("RECORDS", "12000"))
CHANCE = Random.new(Integer(ENV.fetch("SEED", "1")))
CLERKS = 2
# Seconds for which 12,000 records of a work are written, about.
LASTS = {"samples" => 4, "change" => 4, "copy" => 4, "delete" => 4, "undo" => 6}.freeze

# A process of its own, which has the database open.
def apart(database)
  reader, writer = IO.pipe
  child = fork do
    reader.close
    writer.sync = true
    UpTack::Store::Database.connect(database)
    yield writer
    exit!(0)
  end
  writer.close
  [child, reader]
end

# Saves one record after the other, and tells each that was acknowledged.
def clerk(database, number)
  apart(database) do |tell|
    (0..).each do |index|
      typed = piece(index).merge("note" => "By clerk #{number}")
      saved = UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "pieces", typed: typed)
      tell.puts saved.record.id
      sleep 0.03
    end
  end
end

# Asks for the work, and tells what came of it.
def asking(database, works, name)
  apart(database) do |tell|
    UpTack::Work.start
    task, arguments = works.order(name)
    tell.puts "begun"
    UpTack::Work.call(task, arguments, person: workspace.person, progress: UpTack::Progress.none)
    tell.puts "done"
  rescue UpTack::Work::Lost
    tell.puts "lost"
  end
end

# @return [Integer, nil] number of the process that writes a batch right now
def worker(database)
  Dir["#{database}.batch-*"].filter_map { |path| File.read(path)[/\d+/]&.to_i }.last
end

# @return [String] what whoever asked was told at last
def killed(database, works, name, victim)
  child, told = asking(database, works, name)
  sleep 0.02 until worker(database) || told.wait_readable(0.02) && told.gets != "begun\n"
  sleep CHANCE.rand * LASTS.fetch(name, 1.5) * ROWS / 12_000
  pid = (victim == "worker") ? worker(database) : child
  Process.kill(:KILL, pid) if pid
  last = told.read.to_s.lines.last.to_s.strip
  Process.wait(child)
  last.empty? ? "killed" : last
rescue Errno::ESRCH
  Process.wait(child)
  "done"
end

# Either all that the batch has in the log is there, or nothing of it.
def half(before, after)
  # A clerk's last save may be there, though it was killed before it could tell.
  typed = UpTack::Store::Entry.where(action: "create", batch_id: nil).pluck(:record_id).to_set
  others = after.reject { |id, said| before.key?(id) ? before[id] == said : typed.include?(id) }
  differ = others.length + before.keys.count { |id| !after.key?(id) }
  batch = UpTack::Store::Batch.order(:id).last
  whole = batch.undone? ? 0 : batch.records
  "half: #{differ} of #{whole} records differ" unless [0, whole].include?(differ)
end

def problems(before, saved)
  after = LongWorks.contents
  found = [half(before, after)].compact
  lost = saved.reject { |id| after.key?(id) }
  found << "lost records: #{lost.first(5)}" if lost.any?
  left = UpTack::Store::RunningBatch.count
  found << "#{left} unfinished" if left.positive?
  tags = UpTack::Store::Database.connection.select_values("SELECT tag FROM pieces WHERE tag IS NOT NULL")
  found << "numbers given twice" if tags.uniq.length < tags.length
  found + UpTack::UseCases::Maintenance::IntegrityCheck.new(workspace).call.reject(&:sound).map(&:message)
end

def prepare(folder)
  open_studio(folder, "crash.sqlite3")
  database = UpTack::Store::Database.path
  works = LongWorks.new(folder, ROWS)
  task, arguments = works.order("import")
  UpTack::Work::TASKS.fetch(task).call(workspace, UpTack::Progress.none, **arguments)
  UpTack::Store::Database.close
  [database, works]
end

Dir.mktmpdir do |folder|
  database, works = prepare(folder)
  bad = 0
  acknowledged = 0
  KILLS.times do |index|
    name = LongWorks::NAMES[index % LongWorks::NAMES.length]
    victim = %w[worker asker][(index / LongWorks::NAMES.length) % 2]
    UpTack::Store::Database.open(database)
    before = LongWorks.contents
    UpTack::Store::Database.close
    clerks = Array.new(CLERKS) { |number| clerk(database, number) }
    came = killed(database, works, name, victim)
    saved = clerks.flat_map do |child, told|
      Process.kill(:KILL, child)
      Process.wait(child)
      told.read.lines.map(&:to_i)
    end
    UpTack::Store::Database.open(database)
    back = UpTack::Services::Rollback.left(patient: true)
    found = problems(before, saved)
    UpTack::Store::Database.close
    bad += 1 if found.any?
    acknowledged += saved.length
    puts "kill #{index + 1}: #{name}, #{victim} killed, told “#{came}”#{", undone at the start" if back.any?}; " \
      "#{saved.length} saves beside it; #{found.empty? ? "all holds" : found.join("; ")}"
    $stdout.flush
  end
  served = Served.new(database, works.path, CHANCE)
  SERVED.times do |index|
    UpTack::Store::Database.open(served.database)
    before = LongWorks.contents
    UpTack::Store::Database.close
    told, saved = served.kill(index)
    UpTack::Store::Database.open(served.database)
    found = problems(before, saved)
    UpTack::Store::Database.close
    bad += 1 if found.any?
    acknowledged += saved.length
    verdict = found.empty? ? "all holds" : found.join("; ")
    puts "served #{index + 1}: #{told}; #{saved.length} saves beside it; #{verdict}"
    $stdout.flush
  end
  served.drop
  puts "#{KILLS + SERVED} kills, #{bad} with something wrong; #{acknowledged} records acknowledged"
  exit(bad.zero? ? 0 : 1)
end
