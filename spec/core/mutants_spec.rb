# frozen_string_literal: true

require "core_helper"
require "bench/support/noticing"
require "support/lending"

# Small mistakes in rules, and records that notice them. `bin/bench mutants` counts them over the whole
# demo; here it is one of its tables.
RSpec.describe "Small mistakes in rules" do
  project = Core::Design::ProjectFile.read(File.read(File.expand_path("../../demo/kiln_share.json", __dir__))).project

  it "are rules that could be saved, each another one, told in words" do
    project.tables.each do |each|
      each.rules.each do |rule|
        mutants = Core::Bench::Mutants.all(rule, each)
        expect(mutants.map(&:attributes).uniq.length).to eq(mutants.length)
        expect(mutants.map(&:attributes)).not_to include(rule.attributes)
        expect(mutants.map(&:words)).to all(satisfy { |words| !words.strip.empty? && !words.include?("#<") })
        expect(mutants.map(&:sort) - Core::Bench::Mutants::SORTS).to eq([])
      end
    end
    sorts =
      project
        .tables
        .flat_map { |each| each.rules.flat_map { |rule| Core::Bench::Mutants.all(rule, each).map(&:sort) } }
        .uniq
    expect(Core::Bench::Mutants::SORTS - sorts).to eq([])
  end

  lending = Core::Design::Project.from(Lending.attributes)
  tables = {"firings" => project, "clays" => project, "orders" => project, "loans" => lending, "people" => lending}

  Thorough.some(tables.to_a, 3).each do |key, design|
    it "in #{key} are noticed by the records at the edges, with what is expected of them by default" do
      found = Noticing.run(design, design.table(key))
      puts "\n#{key}: #{found.edges} records at the edges notice #{found.noticed} of #{found.tried} mistakes"
      expect(found.noticed.fdiv(found.tried)).to be >= 0.98, found.left.join("\n")
    end
  end

  # Each rule of a table as a slip of the hand would have made it: another design, whose own slips count.
  it "are noticed in other designs as well, or have a record made for them" do
    random = Random.new(RSpec.configuration.seed)
    found = Array.new(4) { Noticing.run(*varied(project, random.rand(2).zero? ? "order_lines" : "firings", random)) }
    noticed, tried = found.sum(&:noticed_then), found.sum(&:tried)
    expect(noticed.fdiv(tried)).to be >= 0.95, found.flat_map(&:left).join("\n")
  end

  def varied(project, key, random)
    attributes = project.attributes
    rules = attributes["tables"].find { |each| each["key"] == key }.tap { |each| each["proofs"] = [] }["rules"]
    rules.each_index.to_a.sample(3, random: random).each do |index|
      mutants = Core::Bench::Mutants.all(Core::Rules.from(rules[index]), project.table(key)).select(&:attributes)
      other = mutants.sample(random: random) or next
      before, rules[index] = rules[index], other.attributes
      Core::Design::Project.from(attributes)
    rescue Core::Invalid
      rules[index] = before
    end
    made = Core::Design::Project.from(attributes)
    [made, made.table(key)]
  end

  it "say why they make no difference only where no record shows one" do
    %w[clays orders firings].each do |key|
      own = project.table(key)
      ground = Core::Save::CompiledProject.new(project)
      clock = Core::Design::ScriptClock.at("2026-11-23T09:00", project.conventions)
      proofs = Noticing.proofs(ground, own, Core::Bench::BoundaryCases.new(ground, own, clock: clock).candidates)
      reasons = Core::Bench::Equivalence.new(own)
      harmless =
        own.rules.flat_map do |rule|
          Core::Bench::Mutants
            .all(rule, own)
            .filter_map { |mutant| reasons.reason(rule, mutant) && [rule.id, mutant.attributes] }
        end
      noticed =
        Core::Bench::MutationRun
          .new(project, own, proofs)
          .call
          .select(&:noticed)
          .map { |each| [each.rule.id, each.mutant.attributes] }
      expect(harmless & noticed).to eq([])
    end
  end

  it "tell by going through all values that a formula comes to the same" do
    pieces = project.table("pieces")
    reason =
      lambda do |formula, other|
        rule = Core::Rules.from("id" => "r1", "kind" => "check", "field" => "stage", "formula" => formula)
        Core::Bench::Equivalence.new(pieces).reason(
          rule,
          Core::Bench::Mutants::Mutant.new(
            sort: "sign",
            words: "",
            attributes: rule.attributes.merge("formula" => other)
          )
        )
      end
    expect(reason.call('stage <> "Drying"', 'not (stage = "Drying")')).to eq(
      "The result is the same for all 5 values of Stage."
    )
    expect(reason.call('stage <> "Drying"', 'stage in ("Bisque fired", "Glaze fired", "Collected")')).to eq(
      "The result is the same for all 5 values of Stage."
    )
    expect(reason.call('stage = "Drying"', 'stage in ("Drying", "Collected")')).to be_nil
    expect(reason.call('is_new or stage = "Drying"', 'stage = "Drying"')).to be_nil
    expect(reason.call("tare > 1", "tare >= 1")).to be_nil
    expect(reason.call("today() = today()", "yes")).to be_nil
  end

  it "are made without building the design anew, and come to the same" do
    random = Random.new(RSpec.configuration.seed)
    pieces = project.table("pieces")
    ground = Core::Save::CompiledProject.new(project)
    proofs = pieces.proofs.sample(6, random: random)
    (pieces.rules.sample(12, random: random) | pieces.rules.select(&:owns?)).each do |rule|
      mutant = Core::Bench::Mutants.all(rule, pieces).sample(random: random) or next
      attributes = project.attributes
      rules = attributes["tables"].find { |each| each["key"] == "pieces" }["rules"]
      index = rules.index { |each| each["id"] == rule.id }
      mutant.attributes ? rules[index] = mutant.attributes : rules.delete_at(index)
      whole = Core::Bench::Run.new(Core::Design::Project.from(attributes))
      quick =
        Core::Bench::Run.new(
          nil,
          ground: ground.with_rule("pieces", rule, mutant.attributes && Core::Rules.from(mutant.attributes))
        )
      came_out = ->(run) do
        proofs.map { |proof| run.differences(run.table("pieces"), proof).map { |each| [each.expected, each.actual] } }
      end
      expect([rule.id, mutant.words, came_out.call(quick)]).to eq([rule.id, mutant.words, came_out.call(whole)])
    rescue Core::Invalid
      next # Another rule would not go with it.
    end
  end
end
