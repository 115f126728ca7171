# frozen_string_literal: true

# Counts mistakes that proofs notice: used by the bench, and by the spec at a smaller size.
module Noticing
  # edges, more:: records at the edges, and those made for what slipped through
  # tried:: mistakes that make a difference; harmless:: the others, in words; noticed, noticed_then:: by the first, and
  # with the others; left:: in words
  Found =
    Struct.new(
      :edges,
      :more,
      :tried,
      :harmless,
      :noticed,
      :noticed_then,
      :left,
      :counted,
      :looked,
      keyword_init: true
    )
  BENCH = UpTack::Core::Bench

  module_function

  # @param project [UpTack::Core::Design::Project]
  # @param table [UpTack::Core::Design::Table]
  # @param around [Hash] records and profiles, as Edges takes them
  # @return [Found]
  def run(project, table, **around)
    ground = UpTack::Core::Save::CompiledProject.new(project)
    clock = UpTack::Core::Design::ScriptClock.at("2026-11-23T09:00", project.conventions)
    candidates = BENCH::BoundaryCases.new(ground, table, clock: clock, **around).candidates
    run = BENCH::MutationRun.new(project, table, proofs(ground, table, candidates))
    all, counted = timed { run.call }
    harmless, tried = all.partition(&:harmless)
    slips = tried.reject(&:noticed)
    (records, left), looked = timed { records(ground, table, clock, run, slips, around) }
    Found.new(
      edges: candidates.length,
      more: records.length,
      tried: tried.length,
      noticed: tried.length - slips.length,
      noticed_then: tried.length - left.length,
      left: left.map { |each| said(each, table) },
      harmless: harmless.map { |each| "#{said(each, table)} — #{each.harmless}" },
      counted: counted,
      looked: looked
    )
  end

  def said(each, table) = "#{table.field(each.rule.field).label}, #{each.rule.kind}: #{each.mutant.words}"

  # The records as they come out, confirmed.
  def proofs(ground, table, candidates)
    run = BENCH::Run.new(ground.project, ground: ground)
    made =
      candidates.each_with_index.map do |each, index|
        expect = BENCH::SuggestedExpectations.new(each.trial, table).all.select(&:usual).map(&:attributes)
        UpTack::Core::Design::Proof.from(each.script.merge("id" => "p#{index}", "name" => each.words.first,
          "expect" => expect))
      end
    made.filter_map do |proof|
      run.call(table, proof).then { |result| [proof, result.reached] if result.state == "passed" }
    end
  end

  def records(ground, table, clock, run, slips, around)
    find = BENCH::Distinguisher.new(ground, table, clock: clock, **around)
    known = Hash.new { |hash, rule| hash[rule] = [] }
    left =
      slips.reject do |each|
        found = find.find(each.rule, each.mutant, run.ground(each.rule, each.mutant), known: known[each.rule.id])
        found && known[each.rule.id] |= [found]
      end
    [known.values.flatten, left]
  end

  def timed
    started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    result = yield
    [result, Process.clock_gettime(Process::CLOCK_MONOTONIC) - started]
  end
end
