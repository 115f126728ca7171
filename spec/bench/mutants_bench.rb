# frozen_string_literal: true

# How many small mistakes in the rules of the demo are noticed by records at the edges, made as the
# application makes them beside the demo's records and confirmed as they are proposed, and how many once each that
# slips through has a record of
#
# Then what the product says of rules is counted against brute force over made-up designs: gaps,
# overlaps, contradictions and sentences.
#
#   bin/bench mutants [TABLE]
require "tmpdir"
require_relative "../../app/lib/up_tack/app"
require_relative "support/noticing"

Core = UpTack::Core
folder = Dir.mktmpdir
at_exit { FileUtils.rm_rf(folder) }
UpTack::Store::Database.open(File.join(folder, "bench.sqlite3"))
UpTack::UseCases::Design::InstallDemo.new.call
workspace = UpTack::Workspace.new(person: UpTack::Store::Person.first)
around = UpTack::UseCases::Proofs::RelatedRecords.new(workspace)
project = workspace.project
tables = project.tables.select { |table| table.rules.any? && [nil, table.key].include?(ARGV[1]) }
totals =
  tables.map do |table|
    found =
      Noticing.run(project, table, records: around.records(table), profiles: {table.key => around.profile(table)})
    puts format(
      "%s, %d rules: %d records at the edges notice %d of %d mistakes (%.1f %%) in %.1f s; with " \
        "%d records more %d (%.1f %%), looked for in %.1f s",
      table.label,
      table.rules.length,
      found.edges,
      found.noticed,
      found.tried,
      100.0 * found.noticed / found.tried,
      found.counted,
      found.more,
      found.noticed_then,
      100.0 * found.noticed_then / found.tried,
      found.looked
    )
    found.left.each { |line| puts "    slips: #{line}" }
    found.harmless.each { |line| puts "    makes no difference: #{line}" }
    found
  end
sum = ->(part) { totals.sum(&part) }
share = ->(part) { 100.0 * sum.call(part) / sum.call(:tried) }
puts format(
  "all: %d records, %.1f %%; with %d more, %.1f %% of %d",
  sum.call(:edges),
  share.call(:noticed),
  sum.call(:more),
  share.call(:noticed_then),
  sum.call(:tried)
)
puts "#{totals.sum { |found| found.harmless.length }} more make no difference, which is proven"

specs = %w[gaps_and_overlaps sentences].map { |name| File.expand_path("../core/properties/#{name}_spec.rb", __dir__) }
said = IO.popen(["bundle", "exec", "rspec", *specs], err: File::NULL, chdir: File.expand_path("../..", __dir__), &:read)
puts said.lines.grep(/\A\d+ (sets|decision|sentences)/)
