# frozen_string_literal: true

# What benchmarks of saving share: a table under twelve rules, what would be typed into
# it, and the same as a hand-written Active Record model with a paper_trail log.

require "paper_trail"
require "tmpdir"
require_relative "../../../web/lib/up_tack/web"

def seconds
  started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  yield
  Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
end

NAMES = ["soup bowl", "Lidded  jar", "Butter dish", " Mug", "Tall vase"].freeze

# What a clerk would type for the n-th piece.
def piece(index)
  {
    "piece" => NAMES[index % NAMES.length],
    "maker" => "Ansa Velt",
    "clay" => (100 + (index % 700)).to_s,
    "tare" => "55",
    "wet" => (155 + (index % 700)).to_s,
    "firing" => "Glaze",
    "peak" => "1222"
  }
end

def field(id, key, type, more = {}) = {"id" => id, "key" => key, "label" => key.capitalize, "type" => type}.merge(more)

FIELDS = [
  field("f1", "tag", "text"),
  field("f2", "piece", "text"),
  field("f3", "maker", "text"),
  field("f4", "clay", "number"),
  field("f5", "tare", "number"),
  field("f6", "wet", "number"),
  field("f7", "firing", "choice", "choices" => %w[Bisque Glaze Lustre Raku]),
  field("f8", "peak", "number"),
  field("f9", "received", "date"),
  field("f10", "collect_by", "date"),
  field("f11", "made_by", "text"),
  field("f12", "changed_on", "moment"),
  field("f13", "edits", "number"),
  field("f14", "note", "text")
].freeze
RULES =
  [
    {"kind" => "default", "field" => "received", "formula" => "today()"},
    {
      "kind" => "tidy",
      "field" => "piece",
      "steps" => [{"do" => "trim"}, {"do" => "collapse"}],
      "mode" => "save"
    },
    {"kind" => "calculation", "field" => "collect_by", "formula" => "received + 14"},
    {"kind" => "number", "field" => "tag", "formula" => '"PC-" & counter(6)'},
    {"kind" => "required", "field" => "piece"},
    {"kind" => "required", "field" => "maker"},
    {"kind" => "limits", "field" => "peak", "low" => "600", "high" => "1300"},
    {"kind" => "check", "field" => "wet", "formula" => "clay + tare = wet"},
    {"kind" => "check", "field" => "peak", "formula" => 'not (firing = "Raku" and peak > 1000)'},
    {"kind" => "stamp", "field" => "made_by", "event" => "made"},
    {"kind" => "stamp", "field" => "changed_on", "event" => "changed"},
    {"kind" => "tally", "field" => "edits", "watch" => %w[piece maker]}
  ].each_with_index.map { |rule, index| rule.merge("id" => "r#{index + 50}") }.freeze

def open_studio(folder, name = "bench.sqlite3")
  UpTack::Store::Database.open(File.join(folder, name))
  design = {
    "name" => "Bench",
    "last_id" => 1_000,
    "tables" => [{"id" => "t1", "key" => "pieces", "label" => "Pieces", "fields" => FIELDS, "rules" => RULES}]
  }
  UpTack::Services::StartProject.new.call(design: design,
    people: [{"name" => "Odile Marsh", "role" => "builder"}])
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
    Base.establish_connection(
      adapter: "sqlite3",
      database: File.join(folder, "by_hand.sqlite3"),
      default_transaction_mode: :immediate,
      pragmas: {synchronous: "full"}
    )
    Base
      .connection
      .create_table("pieces") do |t|
        %w[tag piece maker firing made_by note].each { |name| t.text name }
        %w[clay tare wet peak edits].each { |name| t.decimal name }
        %w[received collect_by].each { |name| t.date name }
        t.datetime "changed_on"
      end
    Base
      .connection
      .create_table("versions") do |t|
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
