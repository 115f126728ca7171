# frozen_string_literal: true

# Proofs of the demo's kind run one after the other, edges looked for in a table of forty rules,
# and made-up records beside the same number imported plainly.
#
#   bin/bench prove [RECORDS]
require "tmpdir"
require_relative "../../web/lib/up_tack/web"

PROOFS = 500
RECORDS = (ARGV[1] || 20_000).to_i
Core = UpTack::Core

def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
def seconds = now.then { |from| yield && (now - from) }

content = Core::Design::ProjectFile.read(File.read(UpTack::Installation.path("demo", "kiln_share.json")))

def prove(project)
  proofs = project.tables.flat_map { |table| table.proofs.map { |proof| [table, proof] } }
  run = Core::Bench::Run.new(project)
  proofs.each { |table, proof| run.call(table, proof) }
  acts = proofs.sum { |_, proof| (proof.script["acts"] || []).length }
  taken = seconds { PROOFS.times { |index| run.call(*proofs[index % proofs.length]) } || true }
  puts format("%d proofs of the demo's kind (%.1f acts each): %.2f s", PROOFS, acts.fdiv(proofs.length), taken)
end

def edges(project)
  ground = Core::Save::CompiledProject.new(project)
  clock = Core::Design::ScriptClock.at("2026-11-23T09:00", project.conventions)
  table = project.table("pieces")
  rules = table.rules.first(40)
  times =
    Array.new(5) { seconds { Core::Bench::BoundaryCases.new(ground, table, clock: clock).candidates(rules) } }.sort
  puts format("edges of %d rules of one table: %.2f s (median of 5)", rules.length, times[2])
end

def person = UpTack::Store::Person.first
def workspace = UpTack::Workspace.new(person: person)

# The same records, once made up and saved, once as if they came from a file.
def samples(key, count)
  maker = UpTack::UseCases::Proofs::GenerateRecords.new(workspace).maker(workspace.table(key), 1)
  drafts =
    Array.new(count) { {typed: Core::Bench::Samples::RecordGenerator.typed(workspace.table(key), maker.values)} }
  imported =
    seconds do
      drafts.each_slice(5_000) do |some|
        UpTack::UseCases::Bulk::Write.new(workspace, channel: "import").call(
          table: key,
          drafts: some,
          summary: "Imported",
          keep: "passing"
        )
      end || true
    end
  result = nil
  made =
    seconds do
      result = UpTack::UseCases::Proofs::GenerateRecords.new(workspace).call(table: key, count: count, seed: 2)
    end
  memory = File.read("/proc/self/status")[/VmHWM:\s+(\d+)/, 1].to_i / 1024
  puts format(
    "%s: %d imported plainly %.0f a second; %d made up %.0f a second; ratio %.2f; a million " \
      "would take %.0f min; at most %d MB",
    key,
    count,
    count / imported,
    result.made,
    result.made / made,
    (result.made / made) / (count / imported),
    1_000_000 / (result.made / made) / 60,
    memory
  )
end

prove(content.project)
edges(content.project)
Dir.mktmpdir do |folder|
  UpTack::Store::Database.open(File.join(folder, "bench.sqlite3"))
  UpTack::UseCases::Design::InstallDemo.new.call
  # Sums on linked records are reckoned after each save, so pieces are measured by fewer.
  {"members" => RECORDS, "firings" => RECORDS, "pieces" => RECORDS / 20}.each { |key, count| samples(key, count) }
  UpTack::Store::Database.close
end
