# frozen_string_literal: true

# How long it takes until a new validation shows its effect on 100,000 records,
# and until the first of it is seen; and how quickly 50,000 names are searched
# through while somebody types one of them, letter by letter.

require "tmpdir"
require_relative "../../app/lib/up_tack/app"

RECORDS = 100_000
NAMES = 50_000
SYLLABLES = %w[an ber cor dun el fen gar hol is jun ka lor mar nel os pet quil ros sal tin].freeze
DESIGN = {
  "name" => "Bench", "last_id" => 100, "tables" => [
    {
      "id" => "t2", "key" => "members", "label" => "Members", "rules" => [], "fields" => [
        {"id" => "f2", "key" => "name", "label" => "Name", "type" => "text"},
        {"id" => "f3", "key" => "town", "label" => "Town", "type" => "text"},
        {"id" => "f4", "key" => "joined", "label" => "Joined", "type" => "date"}
      ]
    },
    {
      "id" => "t3", "key" => "pieces", "label" => "Pieces", "rules" => [], "fields" => [
        {"id" => "f5", "key" => "tag", "label" => "Tag", "type" => "text"},
        {"id" => "f6", "key" => "maker", "label" => "Maker", "type" => "link", "target" => "members"},
        {"id" => "f7", "key" => "clay", "label" => "Clay", "type" => "number"},
        {"id" => "f8", "key" => "tare", "label" => "Tare", "type" => "number"},
        {"id" => "f9", "key" => "wet", "label" => "Wet", "type" => "number"},
        {"id" => "f10", "key" => "received", "label" => "Received", "type" => "date"},
        {"id" => "f11", "key" => "shelf", "label" => "Shelf", "type" => "text"}
      ]
    }
  ]
}.freeze

RULES = {
  "limits" => {"kind" => "limits", "field" => "clay", "low" => "10", "high" => "850"},
  "across fields" => {"kind" => "check", "field" => "wet", "formula" => "clay + tare = wet"},
  "along a link" => {"kind" => "check", "field" => "received", "formula" => "received >= maker.joined"},
  "fits a mask" => {"kind" => "fits", "field" => "shelf", "mask" => '2UPPER "-" 3DIGIT'},
  "unique" => {"kind" => "unique", "field" => "shelf"},
  "exists elsewhere" => {"kind" => "exists", "field" => "tag", "target" => "members", "target_field" => "name"},
  "is required while" => {"kind" => "required", "field" => "shelf", "when" => "clay > 500"}
}.freeze

def seconds
  started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  yield
  Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
end

def workspace = UpTack::Workspace.new(person: UpTack::Store::Person.first)

def name_of(index)
  word = ->(number) do
    [SYLLABLES[number % 20], SYLLABLES[(number / 20) % 20], SYLLABLES[(number / 400) % 20]].join.capitalize
  end
  "#{word.call(index * 7)} #{word.call((index * 13) + 3)}"
end

def effect(rule)
  first = nil
  found = nil
  started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  all =
    seconds do
      found =
        UpTack::UseCases::Effects::PreviewRule
          .new(workspace)
          .call(table: "pieces", attributes: rule, all: true) do
            first ||= Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
          end
    end
  [all, first || all, found]
end

# Every beginning of some names, as they are typed.
def typed =
  [0, 17, 4_242, 31_337, 49_999].flat_map do |index|
    name_of(index).then { |name| (1..name.length).map { |length| name[0, length] } }
  end

Dir.mktmpdir do |folder|
  UpTack::Store::Database.open(File.join(folder, "bench.sqlite3"))
  UpTack::Services::StartProject.new.call(design: DESIGN,
    people: [{"name" => "Odile Marsh", "role" => "builder"}])
  UpTack::Store::Database.write do
    (0...NAMES).each_slice(2_000) do |some|
      UpTack::Store::RecordTable.model("members").insert_all!(
        some.map { |index| {name: name_of(index), town: SYLLABLES[index % 20], joined: "2024-01-01"} }
      )
    end
    (1..RECORDS).each_slice(2_000) do |some|
      rows =
        some.map do |index|
          {
            tag: format("PC-%05d", index),
            maker: (index % NAMES) + 1,
            clay: index % 900,
            tare: 55,
            wet: (index % 900) + ((index % 1000).zero? ? 54 : 55),
            received: "2026-11-23",
            shelf: format("KD-%03d", index % 1000)
          }
        end
      UpTack::Store::RecordTable.model("pieces").insert_all!(rows)
    end
  end
  RULES.each do |name, rule|
    all, first, found = effect(rule)
    puts format(
      "%-22s on %d records: %.2f s, first seen after %.2f s; %s",
      name,
      found.looked_at,
      all,
      first,
      found.counts
    )
  end
  cold = seconds { UpTack::Store::NameSearch.new(workspace.plan("members"), workspace.context).like(name_of(4_242)) }
  times =
    typed
      .map do |text|
        seconds { UpTack::Store::NameSearch.new(workspace.plan("members"), workspace.context).like(text) }
      end
      .sort
  puts format(
    "type-ahead over %d names, %d questions: median %.1f ms, 95th percentile %.1f ms (the " \
      "very first %.0f ms)",
    NAMES,
    times.length,
    times[times.length / 2] * 1000,
    times[(times.length * 0.95).floor] * 1000,
    cold * 1000
  )
  UpTack::Store::Database.close
end
