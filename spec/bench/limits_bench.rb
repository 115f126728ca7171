# frozen_string_literal: true

# How costs grow as records, rules and clerks at once grow tenfold. Writes the plots of docs/limits.md with WRITE=yes.

require "rack/mock"
require_relative "support/studio"
require_relative "support/server"
require_relative "support/visitor"
require_relative "support/plot"

SIZES = ENV.fetch("SIZES", "1000,10000,100000").split(",").map(&:to_i)
RULE_COUNTS = [4, 38, 380].freeze
AT_ONCE = [1, 4, 16, 64].freeze
PLOTS = File.expand_path("../../docs/pictures", __dir__)

# Milliseconds, the one in the middle of some.
def middle(times = 15)
  yield
  Array.new(times) { seconds { yield } * 1_000 }.sort[times / 2].round(2)
end

# Asks the application, signed in, without a network.
class Asking
  def initialize(name)
    _, token = UpTack::Store::Session.begin(UpTack::Store::Person.find_by!(name: name))
    guard = UpTack::Web::Guard::Cookies
    @fixed = {
      "CONTENT_TYPE" => "application/json", "HTTP_HOST" => "localhost", "REMOTE_ADDR" => "127.0.0.1",
      "HTTP_COOKIE" => "#{guard::NAME}=#{Rack::Utils.escape(guard.seal(token))}",
      "HTTP_X_WRITE_KEY" => guard.write_key(token)
    }
  end

  def call(method, path, body = nil)
    env = Rack::MockRequest.env_for("http://localhost#{path}", @fixed.merge(method: method, input: body&.to_json))
    status, _, answer = UpTack::Web::Application.call(env)
    answer.each { |part| part }
    raise "#{path} was answered with #{status}" unless status.between?(200, 299)
  end
end

# Copies pieces, each with its entry in the log, until there are as many; their numbers and shelves stay different.
def grow(count)
  table = UpTack::Store::RecordTable.new(workspace.table("pieces"))
  others = workspace.table("pieces").kept_fields.map(&:key) - %w[tag shelf_code]
  columns = others.map { |key| %("#{key}") }.join(", ")
  UpTack::Store::Database.write do
    connection = UpTack::Store::Database.connection
    until (missing = count - table.count) <= 0
      last = table.following - 1
      connection.execute("INSERT INTO pieces (tag, #{columns}) SELECT 'PC-' || (id + #{last}) || 'x', #{columns} " \
        "FROM pieces ORDER BY id LIMIT #{missing}")
      fields = UpTack::Store::Entry.column_names - %w[id record_id seal]
      connection.execute("INSERT INTO up_tack_entries (record_id, seal, #{fields.join(", ")}) SELECT pieces.id, 'x', " \
        "#{fields.map { |each|
          "entries.#{each}"
        }.join(", ")} FROM pieces, (SELECT * FROM up_tack_entries WHERE id = 1) " \
        "AS entries WHERE pieces.id > #{last}")
    end
  end
end

def workspace = UpTack::Workspace.new(person: UpTack::Store::Person.order(:id).first)

PIECE = {"piece" => "Soup bowl", "maker" => "Maro Tinsley", "clay_weight" => "640", "wet_weight" => "695"}.freeze

def by_records(folder)
  UpTack::Store::Database.open(File.join(folder, "records.sqlite3"))
  UpTack::UseCases::Design::InstallDemo.new.call
  asking = Asking.new("Bram Tolley")
  costs = Hash.new { |lines, name| lines[name] = {} }
  SIZES.each do |size|
    grow(size)
    table = "/api/tables/pieces"
    costs["save"][size] = middle { asking.call("POST", "#{table}/records", {typed: PIECE}) }
    costs["draft"][size] = middle { asking.call("POST", "#{table}/draft", {typed: PIECE}) }
    costs["first page, sorted"][size] = middle(5) { asking.call("GET", "#{table}/records?sort=-received,piece") }
    costs["filter and count"][size] = middle(5) {
      asking.call("GET", "#{table}/records?filter=clay_weight%20%3E%20600")
    }
    costs["history of a record"][size] = middle { asking.call("GET", "/api/history?table=pieces&record=5") }
    puts "#{size} records: #{costs.map { |name, line| "#{name} #{line[size]} ms" }.join(", ")}; file " \
      "#{File.size(UpTack::Store::Database.path) / 1_000_000} MB"
  end
  UpTack::Store::Database.close
  costs
end

# What is asked of the log, of which only the check grows with it.
def of_log(asking)
  told = "/api/history?table=jottings"
  {
    "save" => -> { asking.call("POST", "/api/tables/jottings/records", {typed: {text: "Seen"}}) },
    "latest entries" => -> { asking.call("GET", "/api/history") },
    "history of a record" => -> { asking.call("GET", "#{told}&record=5") },
    "of a field, by one person" => -> { asking.call("GET", "#{told}&field=text&person=1") },
    "picture of all time" => -> { asking.call("GET", "/api/history/counts") }
  }
end

# Saves all of some records again and again, under their rules and with their seals.
def save_over_and_over(entries)
  ids = UpTack::Store::RecordTable.new(workspace.table("jottings")).page(limit: LINES).map(&:first)
  until (missing = entries - UpTack::Store::ChangeLog.latest) <= 0
    UpTack::UseCases::Bulk::Change.new(workspace).call(
      table: "jottings", kind: "change", ids: ids.first(missing), typed: {"text" => "Seen #{missing}"}, keep: "passing"
    )
  end
end

LINES = 20_000

def by_entries(folder)
  UpTack::Store::Database.open(File.join(folder, "log.sqlite3"))
  UpTack::UseCases::Design::InstallDemo.new.call
  changes = UpTack::Core::Design::Changes
  design = UpTack::UseCases::Design::ChangeDesign.new(workspace)
  design.call(changes::AddTable.new(label: "Jottings"))
  design.call(changes::AddField.new(table: "jottings", parts: {"label" => "Text", "type" => "text"}))
  drafts = Array.new([SIZES.first, LINES].min) { |number| {typed: {"text" => "Jotting #{number}"}} }
  UpTack::UseCases::Bulk::Write.new(workspace, channel: "import").call(table: "jottings", drafts: drafts, summary: "")
  asking = Asking.new("Odile Marsh")
  costs = Hash.new { |lines, name| lines[name] = {} }
  tell = ->(size, name) do
    of_log(asking).each { |kind, question| costs[kind][size] = middle(5, &question) }
    costs["check of the log"][size] = (seconds { UpTack::Store::LogCheck.run } * 1_000).round
    puts "#{name}: #{costs.map { |kind, line| "#{kind} #{line[size]} ms" }.join(", ")}; file " \
      "#{File.size(UpTack::Store::Database.path) / 1_000_000} MB"
  end
  SIZES.each do |size|
    save_over_and_over(size)
    tell.call(size, "#{size} entries")
  end
  beside(costs, tell)
  UpTack::Store::Database.close
  costs
end

# The same with nearly all of the log in a file of its own, as it is after some years.
def beside(costs, tell)
  [800 * 86_400, 801 * 86_400].each do |later|
    clock = Struct.new(:now).new(Time.now.utc + later)
    UpTack::UseCases::Maintenance::MoveLog.new(clock, months: 24, least: 1).call
  end
  kept = costs.transform_values(&:dup)
  tell.call(SIZES.last, "the same, in a file beside")
  costs.replace(kept)
end

def by_rules(folder)
  costs = Hash.new { |lines, name| lines[name] = {} }
  RULE_COUNTS.each do |count|
    UpTack::Store::Database.open(File.join(folder, "rules_#{count}.sqlite3"))
    fields = FIELDS + Array.new(count) { |index| field("g#{index}", "sum_#{index}", "number") }
    rules = RULES + Array.new(count) { |index|
      {"kind" => "calculation", "field" => "sum_#{index}", "id" => "s#{index}", "formula" => "clay + tare + #{index}"}
    }
    design = {"name" => "Rules", "last_id" => 9_000, "tables" => [{"id" => "t1", "key" => "pieces", "label" => "Pieces",
                                                                   "fields" => fields, "rules" => rules}]}
    UpTack::Services::StartProject.new.call(design: design, people: [{"name" => "Odile Marsh", "role" => "builder"}])
    asking = Asking.new("Odile Marsh")
    costs["save"][count] = middle { asking.call("POST", "/api/tables/pieces/records", {typed: piece(1)}) }
    costs["draft"][count] = middle { asking.call("POST", "/api/tables/pieces/draft", {typed: piece(1)}) }
    costs["board"][count] = middle(5) { asking.call("GET", "/api/tables/pieces") }
    costs["design ready"][count] = middle(5) do
      UpTack::Store::CompiledDesign.forget
      UpTack::Store::CompiledDesign.current
    end
    puts "#{count} rules more: #{costs.map { |name, line| "#{name} #{line[count]} ms" }.join(", ")}"
    UpTack::Store::Database.close
  end
  costs
end

# Clerks who never pause, which is far more than people do.
def by_clerks(folder)
  port = 4879
  costs = {"drafts and saves a second" => {}, "a save, ms" => {}}
  Server.run(File.join(folder, "served"), port) do
    AT_ONCE.each do |count|
      saves = Queue.new
      answered = Queue.new
      ends = clock + 8
      visitors = Array.new(count) { Visitor.new(port, 2) }
      visitors.map { |visitor|
        Thread.new do
          while clock < ends
            4.times { visitor.ask("POST", "/api/tables/pieces/draft", {typed: PIECE}) && answered << 1 }
            saves << seconds { visitor.ask("POST", "/api/tables/pieces/records", {typed: PIECE}) }
          end
        end
      }.each(&:join)
      times = Array.new(saves.length) { saves.pop }.sort
      costs["drafts and saves a second"][count] = ((answered.length + times.length) / 8.0).round(1)
      costs["a save, ms"][count] = (times[times.length / 2] * 1_000).round(1)
      puts "#{count} at once: #{costs.map { |name, line| "#{name} #{line[count]}" }.join(", ")}"
    end
  end
  costs
end

GROWING = {
  "records" => ["As records grow", "pieces, each under 48 rules", "ms", :by_records],
  "entries" => ["As the log grows", "entries of the log", "ms", :by_entries],
  "rules" => ["As rules grow", "calculations of one table, besides 12 other rules", "ms", :by_rules],
  "clerks" => ["As clerks grow who never pause", "at once", "", :by_clerks]
}.freeze

# ONLY=entries,rules measures some of them.
GROWING.slice(*ENV.fetch("ONLY", GROWING.keys.join(",")).split(",")).each do |name, (title, across, up, costs)|
  plot = Dir.mktmpdir { |folder| Plot.new(title, across, up, send(costs, folder)) }
  next unless ENV["WRITE"] == "yes"

  FileUtils.mkdir_p(PLOTS)
  File.write(File.join(PLOTS, "limits_#{name}.svg"), plot.to_s)
end
