# frozen_string_literal: true

require "json"
require_relative "support/code_beside"

# The walk through a new kind of rule in CONTRIBUTING.md, done: its file is put where it says, in a copy of the code.
RSpec.describe "A new kind of rule, as CONTRIBUTING.md tells it" do
  path, code = CodeBeside.example("rules/kinds/multiple_of.rb")

  design = <<~RUBY
    include UpTack
    project = Core::Design::Project.from(
      "name" => "Studio", "last_id" => 9, "tables" => [{
        "id" => "t1", "key" => "clays", "label" => "Clays",
        "fields" => [{"id" => "f1", "key" => "bag", "label" => "Bag kg", "type" => "number"}],
        "rules" => [{"id" => "r1", "kind" => "multiple_of", "field" => "bag", "of" => "0.25"}],
        "proofs" => %w[2.5 2.6].zip([{"what" => "saved"}, {"what" => "refused", "rule" => "r1"}]).map do |bag, expected|
          {
            "id" => "p\#{bag.delete(".")}", "name" => "A bag of \#{bag} kg", "at" => "2026-11-23T09:00",
            "acts" => [{"do" => "type", "field" => "bag", "value" => bag}, {"do" => "save"}], "expect" => [expected]
          }
        end
      }]
    )
    table = project.tables.first
    rule = table.rules.first
  RUBY

  it "is one file: it tests, tells, is proven, has edges and mistakes, and is exported" do
    found = CodeBeside.run(path, code, <<~RUBY)
      #{design}
      ground = Core::Save::CompiledProject.new(project)
      run = Core::Bench::Run.new(project, ground: ground)
      clock = Core::Design::ScriptClock.at("2026-11-23T09:00", project.conventions)
      edges = Core::Bench::BoundaryCases.new(ground, table, clock: clock).candidates
      puts JSON.generate(
        sentence: rule.sentence(table),
        proofs: table.proofs.map { |proof| run.differences(table, proof).empty? },
        edges: edges.map { |each| each.trial.last.state }.uniq.sort,
        mistakes: Core::Bench::Mutants.all(rule, table).length,
        sql: Interchange::SchemaExport::Sql.new(table).create,
        schema: Interchange::SchemaExport::JsonSchema.generate(table)["properties"]["bag"]["multipleOf"],
        api: Interchange::ApiRules.schemas.fetch("RuleMultipleOf")["properties"]["kind"]["enum"],
        file: Core::Design::ProjectFile::Schema.to_h.to_s.include?("multiple_of")
      )
    RUBY
    expect(JSON.parse(found, symbolize_names: true)).to include(
      sentence: "Bag kg must be a multiple of 0.25.",
      proofs: [true, true],
      edges: include("saved", "refused"),
      mistakes: be > 2,
      sql: include("-- Bag kg must be a multiple of 0.25."),
      schema: 0.25,
      api: ["multiple_of"],
      file: true
    )
  end

  {
    /^ +kind "multiple_of".*\n/ => "say its kind",
    /^ +def words.*\n/ => "define words(table)",
    /^ +def as_condition.*\n/ => "define as_condition(table)",
    /, label: "A multiple of", hint: ".*?"/ => "label its part of"
  }.each do |line, told|
    it "is refused when it forgets to #{told}" do
      incomplete = code.sub(line, "")
      expect { CodeBeside.run(path, incomplete, "UpTack::Core::Rules.all") }
        .to raise_error(/Rules::Kinds::MultipleOf must still .*#{Regexp.escape(told)}/m)
    end
  end
end
