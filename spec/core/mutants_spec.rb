# frozen_string_literal: true

require "core_helper"
require "bench/support/noticing"

# Small mistakes in rules, and records that notice them. `bin/bench mutants` counts them over the whole
# demo; here it is one of its tables.
RSpec.describe "Small mistakes in rules" do
  project = Core::Design::ProjectFile.read(File.read(File.expand_path("../../demo/kiln_share.json", __dir__))).project
  table = project.table("firings")

  it "are rules that could be saved, each another one, told in words" do
    project.tables.each do |each|
      each.rules.each do |rule|
        mutants = Core::Bench::Mutants.of(rule, each)
        expect(mutants.map(&:plain).uniq.length).to eq(mutants.length)
        expect(mutants.map(&:plain)).not_to include(rule.to_plain)
        expect(mutants.map(&:words)).to all(satisfy { |words| !words.strip.empty? && !words.include?("#<") })
        expect(mutants.map(&:sort) - Core::Bench::Mutants::SORTS).to eq([])
      end
    end
    sorts = project.tables.flat_map { |each| each.rules.flat_map { |rule| Core::Bench::Mutants.of(rule, each).map(&:sort) } }.uniq
    expect(Core::Bench::Mutants::SORTS - sorts).to eq([])
  end

  it "are noticed by records at the edges and by those made for what slips through" do
    found = Noticing.of(project, table)
    puts "\n#{found.edges} records at the edges notice #{found.noticed} of #{found.tried} mistakes; with #{found.more} more #{found.noticed_then}"
    expect(found.noticed.fdiv(found.tried)).to be > 0.7
    expect(found.noticed_then.fdiv(found.tried)).to be > 0.95, found.left.join("\n")
    expect(found.more).to be <= found.edges
  end

  it "are made without building the design anew, and come to the same" do
    random = Random.new(RSpec.configuration.seed)
    pieces = project.table("pieces")
    ground = Core::Bench::Ground.new(project)
    proofs = pieces.proofs.sample(6, random: random)
    pieces.rules.sample(12, random: random).each do |rule|
      mutant = Core::Bench::Mutants.of(rule, pieces).sample(random: random) or next
      plain = project.to_plain
      rules = plain["tables"].find { |each| each["key"] == "pieces" }["rules"]
      index = rules.index { |each| each["id"] == rule.id }
      mutant.plain ? rules[index] = mutant.plain : rules.delete_at(index)
      whole = Core::Bench::Run.new(Core::Design::Project.from(plain))
      quick = Core::Bench::Run.new(nil, ground: ground.with_rule("pieces", rule, mutant.plain && Core::Rules.from(mutant.plain)))
      came_out = ->(run) { proofs.map { |proof| run.differences(run.table("pieces"), proof).map { |each| [each.expected, each.actual] } } }
      expect([rule.id, mutant.words, came_out.call(quick)]).to eq([rule.id, mutant.words, came_out.call(whole)])
    rescue Core::Design::Invalid
      next # Another rule would not go with it.
    end
  end
end
