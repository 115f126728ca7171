# frozen_string_literal: true

# Clerks at their forms, as sessions of their own: each opens a form, types field by field at 40 words a minute with the
# drafts and the type-ahead that this brings, saves, and looks at the grid; first alone, and then while one long work
# after the other is done. How long drafts and saves take in each phase, and what all processes take of memory. The
# server is one of its own, as bin/start runs it; the clerks are in processes of their own on the same machine.

require "tmpdir"
require_relative "../../web/lib/up_tack/web"
require_relative "support/server"
require_relative "support/visitor"

CLERKS = Integer(ENV.fetch("CLERKS", "50"))
SECONDS = Integer(ENV.fetch("SECONDS", "60"))
ROWS = Integer(ENV.fetch("ROWS", "10000"))
PORT = Integer(ENV.fetch("PORT", "4592"))
TYPISTS = 2
# Their numbers in the demo.
BUILDER = 1
CLERK = 2
EXPORTED = "tag,piece,maker,clay_weight,wet_weight,received,received_by,collect_by,loss,maker_note"
FIFTH = "filter=clay_weight%20%3C%3D%20607"
# Seconds for a letter at 40 words of five letters a minute.
LETTER = 60.0 / 200

FIELDS = {
  "piece" => "Soup bowl", "maker" => "Maro Tinsley", "clay_weight" => "640", "wet_weight" => "695",
  "maker_note" => "Thin rim"
}.freeze

# One clerk, who never stops; each answer is told as kind, seconds and status.
def type(visitor, tell)
  loop do
    typed = {}
    FIELDS.each do |field, text|
      text.length.times do |letters|
        sleep LETTER
        next unless field == "maker"

        asked = {text: text[0..letters], typed: typed}
        timed(tell, "ahead") { visitor.ask("POST", "/api/tables/pieces/fields/maker/candidates", asked) }
      end
      typed[field] = text
      timed(tell, "draft") { visitor.ask("POST", "/api/tables/pieces/draft", {typed: typed}) }
    end
    timed(tell, "save") { visitor.ask("POST", "/api/tables/pieces/records", {typed: typed}) }
    timed(tell, "grid") { visitor.ask("GET", "/api/tables/pieces/records?sort=-received,piece") }
  end
end

def timed(tell, kind)
  started = clock
  code, = yield
  tell.call([kind, (clock - started).round(4), code])
end

# A process with some of the clerks.
# @return [Array(Integer, IO)]
def typist(count)
  reader, writer = IO.pipe
  child = fork do
    reader.close
    turn = Mutex.new
    tell = ->(line) { turn.synchronize { writer.puts(JSON.generate(line)) } }
    clerks = Array.new(count) do
      Thread.new do
        sleep rand * 8
        type(Visitor.new(PORT, CLERK), tell)
      end
    end
    clerks.each { |thread| thread.report_on_exception = true }
    Signal.trap("TERM") { exit!(0) }
    clerks.each(&:join)
  end
  writer.close
  [child, reader]
end

# Gathers what the clerks tell, by the phase in which it is.
class Phases
  def initialize(readers)
    @told = Hash.new { |phases, name| phases[name] = Hash.new { |kinds, kind| kinds[kind] = [] } }
    @wrong = Hash.new(0)
    @phase = "alone"
    readers.each { |reader| Thread.new { reader.each_line { |line| hear(*JSON.parse(line)) } } }
  end

  def during(name)
    @phase = name
    started = clock
    yield
    print_phase(name, clock - started)
  end

  def wrong = @wrong.map { |(kind, code), times| "#{times} × #{kind} #{code}" }

  private

  def hear(kind, seconds, code)
    @told[@phase][kind] << seconds
    @wrong[[kind, code]] += 1 unless code.between?(200, 299)
  end

  def print_phase(name, took)
    kinds = %w[draft save ahead grid].map do |kind|
      all = @told[name][kind].sort
      next "#{kind} –".ljust(30) if all.empty?

      at = ->(share) { (all[((all.length - 1) * share).floor] * 1_000).round.to_s.rjust(4) }
      "#{kind} #{at.call(0.5)} #{at.call(0.95)} #{at.call(1)} (#{all.length})".ljust(30)
    end
    puts "#{name.ljust(22)} #{took.round(1).to_s.rjust(6)} s  #{kinds.join}"
    $stdout.flush
  end
end

# @return [String] a file of pieces
def pieces_file
  rows = Array.new(ROWS) { |index| "Bowl #{index},Maro Tinsley,#{600 + (index % 40)},#{655 + (index % 40)}" }
  ["Piece,Maker,Clay weight g,Wet weight g", *rows, ""].join("\n")
end

# One after the other: all rows are imported and calculated again, a tenth is changed, a fifth exported.
def long_works(builder)
  upload = builder.ask("POST", "/api/imports?name=pieces.csv", pieces_file).last["id"]
  import = ->(keep) { builder.work("POST", "/api/tables/pieces/import", {id: upload, keep: keep}) }
  change = {do: "change", filter: "clay_weight <= 603", typed: {maker_note: "Seen"}, keep: "passing"}
  batch = nil
  {
    "import tried" => -> { import.call("none") },
    "imported" => -> { batch = import.call("passing")["report"]["batch"] },
    "recalculated" => -> { recalculate(builder) },
    "change tried" => -> { builder.work("POST", "/api/tables/pieces/bulk", change.merge(keep: "none")) },
    "changed" => -> { batch = builder.work("POST", "/api/tables/pieces/bulk", change)["batch"] },
    "change undone" => -> { builder.work("POST", "/api/history/batches/#{batch}/undo") },
    "exported to XLSX" => -> { builder.file("/api/tables/pieces/export.xlsx?fields=#{EXPORTED}&#{FIFTH}") },
    "backup" => -> { builder.ask("POST", "/api/backups", {}) },
    "log verified" => -> { builder.work("POST", "/api/history/verify") },
    "file checked" => -> { builder.work("POST", "/api/check") }
  }
end

def recalculate(builder)
  rule = builder.ask("GET", "/api/tables/pieces").last["rules"].find { |each| each["field"] == "loss" }
  formula = "(wet_weight - clay_weight) / wet_weight * 100"
  builder.work("PUT", "/api/tables/pieces/rules/#{rule["id"]}", rule.merge("formula" => formula))
end

Dir.mktmpdir do |folder|
  Server.run(folder, PORT) do |process|
    builder = Visitor.new(PORT, BUILDER)
    typists = Array.new(TYPISTS) { |index| typist((CLERKS + index) / TYPISTS) }
    phases = Phases.new(typists.map(&:last))
    most = 0
    watching = Thread.new { loop { (most = [most, Server.memory(process)].max) && sleep(1) } }
    puts "#{CLERKS} clerks, #{ROWS} rows; milliseconds: median, 95 of 100, longest (how many)"
    phases.during("alone") { sleep SECONDS }
    long_works(builder).each { |name, work| phases.during(name) { work.call } }
    watching.kill
    typists.each { |child, _| Process.kill("TERM", child) && Process.wait(child) }
    puts "answered with an error: #{phases.wrong.empty? ? "none" : phases.wrong.join(", ")}; memory at most #{most} MB"
  end
end
