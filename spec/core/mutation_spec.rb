# frozen_string_literal: true

require "core_helper"
require "support/mutants"

# Whether the demo's proofs notice when one of its rules is broken: each rule that they show is
# left out and changed in turn, and a proof that came out as it must has to come out otherwise.
RSpec.describe "The demo's proofs" do
  attributes = Core::Design::ProjectFile.read(File.read(File.expand_path("../../demo/kiln_share.json", __dir__))).design
  project = Core::Design::Project.from(attributes)
  run = Core::Bench::Run.new(project)
  results = project.tables.flat_map { |table| table.proofs.map { |proof| run.call(table, proof) } }

  came_out = ->(differences) { differences.map { |each| [each.expected, each.actual] } }

  # Changes that come to the same as long as the other rules are as they are.
  alike = [
    ["r136", "the other time"], # the stage never goes back, so it is reached once
    ["r123", "left out"], ["r123", "half typed is treated otherwise"] # nobody types a number that a rule gives
  ]

  # Whether a proof comes out otherwise than it did.
  notices =
    lambda do |table, rule, mutant|
      changed = Marshal.load(Marshal.dump(attributes))
      rules = changed["tables"].find { |each| each["key"] == table.key }["rules"]
      index = rules.index { |each| each["id"] == rule.id }
      mutant.rule ? rules[index] = mutant.rule : rules.delete_at(index)
      broken = Core::Design::Project.from(changed)
      again = Core::Bench::Run.new(broken)
      results
        .select { |result| result.reached.key?(rule.id) }
        .any? do |result|
          came_out.call(again.differences(broken.table(result.table.key), result.proof)) !=
            came_out.call(result.differences)
        end
    end

  it "come out as they must, but for two that say why not" do
    broken = results.reject { |result| result.state == "passed" }
    expect(broken.map { |result| result.proof.note }).to all(start_with("Broken on purpose:"))
    expect(broken.length).to eq(2)
    kinds =
      Core::Bench::Coverage
        .of_results(project, results)
        .all
        .reject { |covered| covered.state == "untried" }
        .map { |covered| covered.rule.kind }
        .uniq
    expect(kinds).to match_array(Core::Rules.all.keys)
  end

  it "notice every rule that is broken, in whatever way" do
    tried =
      project
        .tables
        .flat_map do |table|
          table
            .rules
            .select { |rule| results.any? { |result| result.reached.key?(rule.id) } }
            .flat_map { |rule| Mutants.all(rule).map { |mutant| [table, rule, mutant] } }
        end
        .reject { |_, rule, mutant| alike.include?([rule.id, mutant.words]) }
    tried = Thorough.some(tried, 100)
    missed = tried.reject { |table, rule, mutant| notices.call(table, rule, mutant) }
    puts "\n#{tried.length - missed.length} of #{tried.length} mutants caught"
    expect(missed.map { |table, rule, mutant| "#{table.label}, #{rule.tack(table)}: #{mutant.words}" }).to be_empty
  end
end
