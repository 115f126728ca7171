# frozen_string_literal: true

# Run by UseCases::Proofs::Mistakes: counts how many small mistakes in the rules of a table its proofs
# notice, and then looks for a record for each that slips through, on as many cores as there are.
# Takes one object of JSON and prints lines of JSON, one for each rule and one for each record.

require "bundler/setup"
require "etc"
require "json"
require "tempfile"
require_relative "../../core/lib/up_tack/core"

core = UpTack::Core
asked = JSON.parse($stdin.read)
core::Messages.language = asked.fetch("language")
project = core::Design::Project.reopen(asked.fetch("design"))
table = project.table(asked.fetch("table"))
seen = asked.fetch("seen")
proofs = table.proofs.select { |proof| seen.key?(proof.id) }.map { |proof| [proof, seen.fetch(proof.id)] }
records = core::Design::Script.from("records" => asked["records"] || {}).values(project)

# A long line could be broken by that of another process while nobody reads, so each waits for its turn.
turn = Tempfile.new("mistakes")
tell = lambda do |line|
  File.open(turn.path) do |own|
    own.flock(File::LOCK_EX)
    puts JSON.generate(line)
  end
end

work =
  lambda do |rules|
    run = core::Bench::MutationRun.new(project, table, proofs)
    slipping =
      rules.flat_map do |rule|
        tried = run.call([rule])
        harmless, counted = tried.partition { |each| each.harmless }
        slips = counted.reject(&:noticed)
        told = ->(each) do
          {"rule" => rule.id, "mistake" => each.place, "words" => each.mutant.words, "why" => each.harmless}.compact
        end
        tell.call(
          "rule" => rule.id,
          "tried" => counted.length,
          "noticed" => counted.count(&:noticed),
          "slipping" => slips.map(&told),
          "harmless" => harmless.map(&told)
        )
        slips
      end
    clock = core::Design::ScriptClock.at(asked.fetch("at"), project.conventions)
    find =
      core::Bench::Distinguisher.new(core::Save::CompiledProject.new(project), table, clock: clock, records: records)
    known = Hash.new { |hash, rule| hash[rule] = [] }
    slipping.each do |each|
      found = find.find(each.rule, each.mutant, run.ground(each.rule, each.mutant), known: known[each.rule.id])
      known[each.rule.id] |= [found].compact
      tell.call("record" => each.rule.id, "mistake" => each.place, "script" => found&.script)
    end
  end

$stdout.sync = true
Process.setpriority(Process::PRIO_PROCESS, 0, 10)
groups =
  table
    .acting_rules
    .each_with_index
    .group_by { |_, index| index % Etc.nprocessors }
    .values
    .map { |all| all.map(&:first) }
children = groups.map { |rules| fork { work.call(rules) } }
exit(children.map { |child| Process.wait2(child).last.success? }.all?)
