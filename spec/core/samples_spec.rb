# frozen_string_literal: true

require "core_helper"

RSpec.describe "Sample records" do
  content = Core::Design::ProjectFile.read(File.read(File.expand_path("../../demo/kiln_share.json", __dir__)))

  let(:ground) { Core::Save::CompiledProject.new(content.project) }
  let(:world) do
    Core::Bench::RecordOverlay.new(
      ground,
      records: {
        "members" => {1 => {"name" => "Ansa Velt"}},
        "orders" => {1 => {}},
        "clays" => {
          1 => {"family" => "Stoneware", "limit" => number(1260)},
          2 => {"family" => "Porcelain", "limit" => number(1300)}
        }
      }
    )
  end
  let(:seen) { context(records: world).tap { |found| world.context = found } }

  def maker(table, seed, profile: Core::Bench::Samples::Profile.new(table, []))
    linked = table.fields.select(&:link?).to_h { |each| [each.key, world.present(each.target).map(&:first)] }
    Core::Bench::Samples::RecordGenerator.new(
      table,
      context: seen,
      profile: profile,
      linked: linked,
      random: Random.new(seed)
    )
  end

  def saved(table, values)
    seen.counters = Core::Bench::Counters.new
    Core::Save.call(
      ground.plan(table.key),
      Core::Save::Draft.new(typed: Core::Bench::Samples::RecordGenerator.typed(table, values), stored: nil),
      seen
    )
  end

  content.project.tables.each do |table|
    it "of #{table.label} pass the rules, most of them at once and all of them mended" do
      table = ground.project.table(table.key)
      made = maker(table, 7)
      tries = Array.new(40) do
        values = made.values
        (1..Core::Bench::Samples::RecordGenerator::MENDS).find do
          outcome = saved(table, values)
          outcome.saved? || (values = made.mend(values, outcome.refusals)) && false
        end
      end
      expect(tries).to all(be_an(Integer))
      expect(tries.count(1)).to be > 30
    end
  end

  it "are told step by step in words for people, whatever a rule did or passed over" do
    steps =
      ground.project.tables.flat_map do |table|
        made = maker(table, 11)
        random = Random.new(11)
        Array
          .new(30) do
            seen.counters = Core::Bench::Counters.new
            typed =
              Core::Bench::Samples::RecordGenerator.typed(table, made.values).select { random.rand(4).positive? }
            Core::Save.call(
              ground.plan(table.key),
              Core::Save::Draft.new(typed: typed, stored: nil),
              seen,
              trace: true
            ).steps
          end
          .flatten
      end
    expect(steps.map { |step| [step.stage, step.result] }.uniq).to include(
      %w[fill skipped],
      %w[fill set],
      %w[validate refused]
    )
    expect(steps.flat_map { |step| [step.how, step.before, step.after] }.grep(/#<|=>|UpTack|Proc|\bnil\b/)).to eq([])
    expect(steps.map(&:how)).to include(start_with("condition not met: "))
  end

  it "are the same for the same seed, and others for another" do
    table = ground.project.table("pieces")
    five = ->(seed) { maker(table, seed).then { |made| Array.new(5) { made.values } } }
    expect(five.call(3)).to eq(five.call(3))
    expect(five.call(3)).not_to eq(five.call(4))
  end

  it "are like the records that are there: choices as often as they occur, numbers between theirs" do
    table = ground.project.table("pieces")
    records =
      Array.new(20) do |index|
        {"firing" => (index < 19) ? "Raku" : "Bisque", "absorption" => number(2 + (index % 3))}
      end
    made =
      maker(table, 1, profile: Core::Bench::Samples::Profile.new(table, records)).then do |each|
        Array.new(200) { each.values }
      end
    expect(made.filter_map { |values| values["absorption"] }).to all(be_between(0, 100))
    expect(made.filter_map { |values| values["firing"] }.tally.max_by(&:last).first).to eq("Raku")
  end
end
