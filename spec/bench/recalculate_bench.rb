# frozen_string_literal: true

# How long it takes to change a formula on a table of 100,000 records, beside
# loading, setting and saving each through Active Record; and to change the one
# title behind 10,000 linked pieces. Memory is what the process holds at most.

require "tmpdir"
require_relative "../../app/lib/up_tack/app"

RECORDS = 100_000
BY_RECORD = 10_000
LINKED = 10_000
DESIGN = {
  "name" => "Bench",
  "last_id" => 100,
  "tables" => [
    {
      "id" => "t1",
      "key" => "titles",
      "label" => "Titles",
      "fields" => [{"id" => "f1", "key" => "text", "label" => "Text", "type" => "text"}],
      "rules" => []
    },
    {
      "id" => "t2",
      "key" => "members",
      "label" => "Members",
      "rules" => [
        {
          "id" => "r1",
          "kind" => "calculation",
          "field" => "address_as",
          "formula" => "if title is blank then name else title.text & \" \" & name"
        }
      ],
      "fields" => [
        {"id" => "f2", "key" => "name", "label" => "Name", "type" => "text"},
        {"id" => "f3", "key" => "title", "label" => "Title", "type" => "link", "target" => "titles"},
        {"id" => "f4", "key" => "address_as", "label" => "Address as", "type" => "text"}
      ]
    },
    {
      "id" => "t3", "key" => "pieces", "label" => "Pieces", "rules" => [
        {"id" => "r2", "kind" => "calculation", "field" => "total", "formula" => "clay + tare"},
        {"id" => "r3", "kind" => "calculation", "field" => "whose", "formula" => "tag & \" by \" & maker.address_as"}
      ], "fields" => [
        {"id" => "f5", "key" => "tag", "label" => "Tag", "type" => "text"},
        {"id" => "f6", "key" => "maker", "label" => "Maker", "type" => "link", "target" => "members"},
        {"id" => "f7", "key" => "clay", "label" => "Clay", "type" => "number"},
        {"id" => "f8", "key" => "tare", "label" => "Tare", "type" => "number"},
        {"id" => "f9", "key" => "received", "label" => "Received", "type" => "date"},
        {"id" => "f10", "key" => "total", "label" => "Total", "type" => "number"},
        {"id" => "f11", "key" => "whose", "label" => "Whose", "type" => "text"}
      ]
    }
  ]
}.freeze

def seconds
  started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  yield
  Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
end

def held = File.read("/proc/self/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024
def workspace = UpTack::Workspace.new(person: UpTack::Store::Person.first)

def pin(id, field, formula)
  change =
    UpTack::Core::Design::Changes::PinRule.new(
      table: "pieces",
      rule: {"id" => id, "kind" => "calculation", "field" => field, "formula" => formula}
    )
  UpTack::UseCases::Design::ChangeDesign.new(workspace).call(change)
end

# The same change made record by record; gives the seconds for all records.
def by_record
  model = UpTack::Store::RecordTable.model("pieces")
  taken = seconds do
    model.transaction do
      model.limit(BY_RECORD).each { |piece| piece.update!(total: (piece.clay + piece.tare) * BigDecimal("1.1")) }
      raise ActiveRecord::Rollback
    end
  end
  taken * RECORDS / BY_RECORD
end

Dir.mktmpdir do |folder|
  UpTack::Store::Database.open(File.join(folder, "bench.sqlite3"))
  UpTack::Services::StartProject.new.call(design: DESIGN,
    people: [{"name" => "Odile Marsh", "role" => "builder"}])
  UpTack::Store::Database.write do
    UpTack::Store::RecordTable.model("titles").insert_all!([{text: "Dr"}, {text: "Ms"}])
    UpTack::Store::RecordTable.model("members").insert_all!(
      Array.new(200) do |index|
        {name: "Member #{index}", title: (index.zero? ? 1 : 2), address_as: "Ms Member #{index}"}
      end
    )
    (1..RECORDS).each_slice(2_000) do |some|
      rows =
        some.map do |index|
          {
            tag: format("PC-%05d", index),
            maker: (index <= LINKED) ? 1 : (index % 199) + 2,
            clay: index % 900,
            tare: 55,
            received: "2026-11-23",
            total: (index % 900) + 55,
            whose: "x"
          }
        end
      UpTack::Store::RecordTable.model("pieces").insert_all!(rows)
    end
  end
  each = by_record
  GC.start
  before = held
  most = before
  watching = Thread.new {
    loop {
      sleep(0.05)
      most = [most, held].max
    }
  }
  formula = seconds { pin("r2", "total", "(clay + tare) * 1.1") }
  links = seconds { pin("r3", "whose", "maker.address_as & \": \" & tag") }
  watching.kill
  title =
    seconds {
      UpTack::UseCases::Records::SaveRecord.new(workspace).call(table: "titles", id: 1, typed: {"text" => "Prof"})
    }
  followed = UpTack::Store::RecordTable.model("pieces").where("whose LIKE 'Prof %'").count
  puts format(
    "a formula changed on %d records: %.2f s, %.1f times as fast as record by record (%.1f s)",
    RECORDS,
    formula,
    each / formula,
    each
  )
  puts format(
    "a formula along a link changed on %d records: %.2f s, %.1f times as fast as record by record",
    RECORDS,
    links,
    each / links
  )
  puts format("one title changed, %d linked pieces follow (%d did): %.2f s", LINKED, followed, title)
  puts format("memory: %d MB before, %d MB at most", before, most)
  UpTack::Store::Database.close
end
