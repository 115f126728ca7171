# frozen_string_literal: true

# A save through all stages with twelve rules and the log, beside a hand-written
# Active Record model with the same validations, callbacks and a paper_trail log,
# both on SQLite files with the same settings, in one run; the same records saved
# as one batch; eight writers on one series; and how long the history of a table
# with a million entries takes to open.

require "paper_trail"
require "rack/mock"
require "tmpdir"
require_relative "../../web/lib/up_tack/web"

ROUNDS = Integer(ENV.fetch("ROUNDS", "1500"))
WARM_UP = 300
NAMES = ["soup bowl", "Lidded  jar", "Butter dish", " Mug", "Tall vase"].freeze

def seconds
  started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  yield
  Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
end

# What a clerk would type for the n-th piece.
def piece(index)
  {"piece" => NAMES[index % NAMES.length], "maker" => "Ansa Velt", "clay" => (100 + (index % 700)).to_s, "tare" => "55", "wet" => (155 + (index % 700)).to_s, "firing" => "Glaze", "peak" => "1222"}
end

def field(id, key, type, more = {}) = {"id" => id, "key" => key, "label" => key.capitalize, "type" => type}.merge(more)

FIELDS = [
  field("f1", "tag", "text"), field("f2", "piece", "text"), field("f3", "maker", "text"), field("f4", "clay", "number"), field("f5", "tare", "number"),
  field("f6", "wet", "number"), field("f7", "firing", "choice", "choices" => %w[Bisque Glaze Lustre Raku]), field("f8", "peak", "number"), field("f9", "received", "date"),
  field("f10", "collect_by", "date"), field("f11", "made_by", "text"), field("f12", "changed_on", "moment"), field("f13", "edits", "number")
].freeze
RULES = [
  {"kind" => "default", "field" => "received", "formula" => "today()"}, {"kind" => "tidy", "field" => "piece", "steps" => [{"do" => "trim"}, {"do" => "collapse"}], "mode" => "save"},
  {"kind" => "calculation", "field" => "collect_by", "formula" => "received + 14"}, {"kind" => "number", "field" => "tag", "formula" => '"PC-" & counter(6)'},
  {"kind" => "required", "field" => "piece"}, {"kind" => "required", "field" => "maker"}, {"kind" => "limits", "field" => "peak", "low" => "600", "high" => "1300"},
  {"kind" => "check", "field" => "wet", "formula" => "clay + tare = wet"}, {"kind" => "check", "field" => "peak", "formula" => 'not (firing = "Raku" and peak > 1000)'},
  {"kind" => "stamp", "field" => "made_by", "event" => "made"}, {"kind" => "stamp", "field" => "changed_on", "event" => "changed"}, {"kind" => "tally", "field" => "edits", "watch" => %w[piece maker]}
].each_with_index.map { |rule, index| rule.merge("id" => "r#{index + 50}") }.freeze

def open_studio(folder, name = "bench.sqlite3")
  UpTack::Store::Database.open(File.join(folder, name))
  design = {"name" => "Bench", "last_id" => 1_000, "tables" => [{"id" => "t1", "key" => "pieces", "label" => "Pieces", "fields" => FIELDS, "rules" => RULES}]}
  UpTack::UseCases::StartProject.new.call(design: design, people: [{"name" => "Odile Marsh", "role" => "builder"}])
end

def workspace = UpTack::Workspace.new(person: UpTack::Store::Person.first)

# The hand-written model: the same checks, the same values filled in, a log by paper_trail.
module ByHand
  class Base < ActiveRecord::Base
    self.abstract_class = true
  end

  class Version < Base
    include PaperTrail::VersionConcern

    self.table_name = "versions"
  end

  class Counter < Base
    self.table_name = "counters"
  end

  class Piece < Base
    self.table_name = "pieces"
    has_paper_trail versions: {class_name: "ByHand::Version"}
    before_validation { self.received ||= Date.today }
    before_validation { self.piece = piece.to_s.strip.gsub(/\s+/, " ").presence }
    before_validation { self.collect_by = received && (received + 14) }
    before_create :number
    before_create { self.made_by = "Odile Marsh" }
    before_save { self.changed_on = Time.now.utc if changed? }
    before_save { self.edits = new_record? ? 0 : edits + 1 if changed.intersect?(%w[piece maker]) }
    validates :piece, presence: true
    validates :maker, presence: true
    validates :firing, inclusion: {in: %w[Bisque Glaze Lustre Raku]}
    validates :peak, numericality: {greater_than_or_equal_to: 600, less_than_or_equal_to: 1300}
    validate { errors.add(:wet, "must be the sum") unless clay + tare == wet }
    validate { errors.add(:peak, "too hot for raku") if firing == "Raku" && peak > 1000 }

    def number
      counter = Counter.lock.first
      self.tag = format("PC-%06d", counter.next)
      counter.update!(next: counter.next + 1)
    end
  end

  def self.open(folder)
    Base.establish_connection(adapter: "sqlite3", database: File.join(folder, "by_hand.sqlite3"), default_transaction_mode: :immediate, pragmas: {synchronous: "full"})
    Base.connection.create_table("pieces") do |t|
      %w[tag piece maker firing made_by].each { |name| t.text name }
      %w[clay tare wet peak edits].each { |name| t.decimal name }
      %w[received collect_by].each { |name| t.date name }
      t.datetime "changed_on"
    end
    Base.connection.create_table("versions") do |t|
      t.text "item_type"
      t.bigint "item_id"
      t.text "event"
      t.text "whodunnit"
      t.text "object"
      t.text "object_changes"
      t.datetime "created_at"
    end
    Base.connection.add_index("versions", %w[item_type item_id])
    Base.connection.create_table("counters") { |t| t.bigint "next" }
    Counter.create!(next: 1)
    PaperTrail.request.whodunnit = "1"
  end
end

def each_save(count)
  save = UpTack::UseCases::SaveRecord.new(workspace)
  count.times { |index| save.call(table: "pieces", typed: piece(index)).state == :saved || abort("refused") }
end

def compare(folder)
  ByHand.open(folder)
  each_save(WARM_UP)
  WARM_UP.times { |index| ByHand::Piece.create!(piece(index)) }
  # By turns, so that a slow moment of the machine falls on all.
  ours = theirs = batch = 0.0
  10.times do
    ours += seconds { each_save(ROUNDS / 10) }
    theirs += seconds { (ROUNDS / 10).times { |index| ByHand::Piece.create!(piece(index)) } }
    batch += seconds { UpTack::UseCases::SaveRecords.new(workspace, way: "import").call(table: "pieces", drafts: Array.new(ROUNDS) { |index| {typed: piece(index)} }) } / 10
  end
  single, hand, many = [ours, theirs, batch].map { |time| time * 1000 / ROUNDS }
  puts format("save, %d rules and the log, %d rounds: %.2f ms each; Active Record with paper_trail %.2f ms; ratio %.2f", RULES.length, ROUNDS, single, hand, single / hand)
  puts format("the same in one batch: %.3f ms each; ratio %.3f", many, many / hand)
end

def parallel
  before = UpTack::Store::Rows.new(workspace.table("pieces")).count
  taken = seconds { Array.new(8) { Thread.new { each_save(50) } }.each(&:join) }
  tags = UpTack::Store::Database.connection.select_values("SELECT tag FROM pieces ORDER BY id")
  numbers = tags.map { |tag| tag.delete_prefix("PC-").to_i }
  puts format("8 writers, 400 saves: %.1f s; lost %d, repeated %d, gaps %d", taken, before + 400 - tags.length, tags.length - tags.uniq.length, numbers.max - numbers.uniq.length)
end

MILLION = 1_000_000

# Entries written straight, as the log would have them after a million saves by
# three people over four years; their seals do not matter here.
def fill_log
  UpTack::Store::Database.connection.execute(<<~SQL)
    WITH RECURSIVE counting(n) AS (SELECT 1 UNION ALL SELECT n + 1 FROM counting WHERE n < #{MILLION})
    INSERT INTO up_tack_entries (id, made_at, person_id, person_name, way, action, table_id, record_id, record_title, revision_id, differences, seal)
    SELECT (SELECT MAX(id) FROM up_tack_entries) + n, datetime('2022-11-24', '+' || (n * 126) || ' seconds'), 1 + n % 3, 'Odile Marsh', 'form', 'update', 't1', 1 + n % 5000,
      'PC-' || n, 1, '[["f2","Piece","text","Mug","Bowl",null],["f6","Wet","number","600","610",null]]', 'x' FROM counting
  SQL
  UpTack::Store::Database.connection.execute("INSERT OR IGNORE INTO up_tack_changed SELECT 'f2', id FROM up_tack_entries UNION ALL SELECT 'f6', id FROM up_tack_entries")
end

# How long requests take that open the history, the best and the median of some.
def history
  fill_log
  _session, token = UpTack::Store::Session.begin(UpTack::Store::Person.first)
  cookie = "#{UpTack::Web::Guard::Cookies::NAME}=#{Rack::Utils.escape(UpTack::Web::Guard::Cookies.seal(token))}"
  request = Rack::MockRequest.new(UpTack::Web::Application)
  {"the table" => "", "one record" => "&record=17", "one field" => "&field=piece", "one person" => "&person=2", "a month" => "&from=2025-03-01&to=2025-03-31", "its picture" => nil}.each do |name, query|
    path = query ? "/api/history?table=pieces#{query}" : "/api/history/counts?table=pieces"
    times = Array.new(7) { seconds { request.get(path, "HTTP_COOKIE" => cookie, "HTTP_HOST" => "localhost").then { |answer| abort answer.body unless answer.status == 200 } } * 1000 }.drop(1).sort
    puts format("history of a million entries, %s: %.0f ms (median of 6)", name, times[3])
  end
end

Dir.mktmpdir do |folder|
  open_studio(folder)
  compare(folder)
  parallel
  history
  UpTack::Store::Database.close
end
