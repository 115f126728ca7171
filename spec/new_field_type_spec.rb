# frozen_string_literal: true

require "json"
require_relative "support/code_beside"

# The walk through a new field type in CONTRIBUTING.md, done: its file is put where it says, in a copy of the code,
# and records with such a field are typed, calculated, tried, proven, stored, found and exported.
RSpec.describe "A new field type, as CONTRIBUTING.md tells it" do
  path, code = CodeBeside.example("values/duration.rb")

  it "is one file: it is typed, calculated with, stored, found, tried and exported" do
    found = CodeBeside.run(path, code, <<~RUBY)
      require "tmpdir"
      include UpTack
      Store::Database.open(File.join(Dir.mktmpdir, "up_tack.sqlite3"))
      attributes = {
        "name" => "Studio", "last_id" => 20, "lists" => [], "tables" => [{
          "id" => "t1", "key" => "firings", "label" => "Firings",
          "fields" => [
            {"id" => "f1", "key" => "ramp", "label" => "Ramp", "type" => "duration"},
            {"id" => "f2", "key" => "hold", "label" => "Hold", "type" => "duration"},
            {"id" => "f3", "key" => "whole", "label" => "Whole", "type" => "duration"}
          ],
          "rules" => [
            {
              "id" => "r1", "kind" => "calculation", "field" => "whole", "formula" => "ramp + hold",
              "keeping" => "always"
            },
            {"id" => "r2", "kind" => "limits", "field" => "ramp", "low" => "30"}
          ]
        }]
      }
      Services::StartProject.new.call(design: attributes, people: [{"name" => "Odile Marsh", "role" => "builder"}])
      workspace = Workspace.new(person: Store::Person.first)
      save = UseCases::Records::SaveRecord.new(workspace)
      saved, short, odd =
        %w[1:30 0:20 soon].map { |ramp| save.call(table: "firings", typed: {"ramp" => ramp, "hold" => "0:45"}) }
      table = workspace.table("firings")
      list = UseCases::Records::ListRecords.new(workspace)
      clock = Core::Design::ScriptClock.at("2026-11-23T09:00", workspace.project.conventions)
      edges = Core::Bench::BoundaryCases.new(workspace.ground, table, clock: clock).candidates
      puts JSON.generate(
        shown: table.fields.map { |field| field.show(saved.record.values[field.key]) },
        refused: [short, odd].map { |each| each.outcome.refusals.map(&:message).first },
        cells: Store::Database.connection.select_rows("SELECT ramp, hold, whole FROM firings").first,
        found: [{filter: "ramp > 60"}, {sort: "-whole"}].map { list.call(table: "firings", **_1).records.length },
        edges: edges.map { |each| each.trial.last.state }.uniq.sort,
        mistakes: Core::Bench::Mutants.all(table.rules.last, table).length,
        json: Interchange::SchemaExport::JsonSchema.generate(table)["properties"]["ramp"]["type"],
        sql: Interchange::SchemaExport::Sql.new(table).create.include?('"ramp" INTEGER'),
        offered: Core::Values.all.keys.last
      )
    RUBY
    expect(JSON.parse(found, symbolize_names: true)).to include(
      shown: ["1:30", "0:45", "2:15"],
      refused: ["Ramp must be 30 or more.", "Ramp takes hours and minutes, such as 1:30."],
      cells: [90, 45, 135],
      found: [1, 1],
      edges: include("saved", "refused"),
      mistakes: be > 1,
      json: %w[integer null],
      sql: true,
      offered: "duration"
    )
  end

  {
    /^ +def read.*?^        end\n/m => "define read(raw, field, reading)",
    /^ +def usual.*\n/ => "define usual(field)",
    /^ +def column.*\n/ => "define column"
  }.each do |part, told|
    it "is refused when it forgets to #{told}" do
      expect { CodeBeside.run(path, code.sub(part, ""), "UpTack::Core::Values.all") }
        .to raise_error(/Values::Duration must still .*#{Regexp.escape(told)}/m)
    end
  end
end
