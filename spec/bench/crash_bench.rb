# frozen_string_literal: true

# Kills an import in the middle, with SIGKILL, again and again, while somebody saves
# beside it; after each it looks whether a half entry is there, whether a record is lost
# whose save was acknowledged, and whether a number was given twice.

require "csv"
require_relative "support/studio"

KILLS = Integer(ENV.fetch("KILLS", "20"))
ROWS = Integer(ENV.fetch("RECORDS", "12000"))

def file(folder)
  path = File.join(folder, "pieces.csv")
  CSV.open(path, "w") do |csv|
    csv << %w[Piece Maker Clay Tare Wet Firing Peak]
    ROWS.times { |index| csv << piece(index).values_at("piece", "maker", "clay", "tare", "wet", "firing", "peak") }
  end
  path
end

# Saves some records and tells each that was acknowledged, then imports and tells how far it is.
def work(path, database, tell)
  UpTack::Store::Database.open(database)
  3.times do |index|
    saved = UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "pieces", typed: piece(index))
    tell.puts "saved #{saved.record.id}"
  end
  progress = UpTack::Progress.new
  Thread.new { loop { tell.puts("at #{progress.done}") && sleep(0.01) } }
  source = UpTack::Interchange::Source.open(path)
  looked = UpTack::UseCases::Imports::FileAnalysis.new(workspace).call(source, workspace.table("pieces"))
  result =
    UpTack::UseCases::Imports::Run.new(workspace, progress: progress).call(
      source: source,
      table: "pieces",
      settings: looked.settings,
      keep: "all",
      name: "pieces.csv",
      rows: ROWS
    )
  tell.puts "imported #{result.report.batch.id}"
end

# @return [Array(Array<Integer>, Array<Integer>)] records and imports that were acknowledged before the kill
def killed(path, database, after)
  reader, writer = IO.pipe
  child = fork do
    reader.close
    writer.sync = true
    work(path, database, writer)
    exit!(0)
  end
  writer.close
  lines = []
  while (line = reader.gets)
    lines << line
    Process.kill(:KILL, child) if line.start_with?("at ") && line[/\d+/].to_i >= after
  end
  Process.wait(child)
  %w[saved imported].map { |word| lines.grep(/\A#{word}/).map { |each| each[/\d+/].to_i } }
end

def problems(saved, imported)
  rows = UpTack::Store::RecordTable.new(workspace.table("pieces"))
  found = []
  found << "lost records: #{saved.reject { |id| rows.find(id) }}" unless saved.all? { |id| rows.find(id) }
  batches = UpTack::Store::Batch.pluck(:id)
  found << "lost imports: #{imported - batches}" unless (imported - batches).empty?
  half = batches.reject { |id| UpTack::Store::Entry.where(batch_id: id).count == ROWS }
  found << "half entries: #{half}" if half.any?
  tags = UpTack::Store::Database.connection.select_values("SELECT tag FROM pieces")
  if tags.uniq.length < tags.length
    found << "numbers given twice: #{tags.tally.select { |_, times| times > 1 }.keys.first(5)}"
  end
  unless rows.count == UpTack::Store::Entry.where(action: "create").count
    found << "records beside the log: #{rows.count} " \
      "and #{UpTack::Store::Entry.where(action: "create").count}"
  end
  found + UpTack::UseCases::Maintenance::IntegrityCheck.new(workspace).call.reject(&:sound).map(&:message)
end

Dir.mktmpdir do |folder|
  open_studio(folder, "crash.sqlite3")
  database = UpTack::Store::Database.path
  UpTack::Store::Database.close
  path = file(folder)
  saved, imported = [], []
  bad = 0
  KILLS.times do |index|
    more = killed(path, database, index * ROWS * 17 / KILLS / 20)
    saved.concat(more.first)
    imported.concat(more.last)
    UpTack::Store::Database.open(database)
    found = problems(saved, imported)
    UpTack::Store::Database.close
    bad += 1 if found.any?
    at = more.last.any? ? "too late, it was done" : "in the middle"
    puts "kill #{index + 1}: #{at}; #{found.empty? ? "all holds" : found.join("; ")}"
  end
  puts "#{KILLS} kills, #{bad} with something wrong; #{saved.length} records acknowledged, none lost" if bad.zero?
  exit(bad.zero? ? 0 : 1)
end
