# frozen_string_literal: true

require "json_schemer"
require "core_helper"

RSpec.describe "The project file" do
  root = File.expand_path("../..", __dir__)
  text = File.read(File.join(root, "demo", "kiln_share.json"))
  file = Core::Design::ProjectFile

  def problems(text)
    Core::Design::ProjectFile.read(text)
    []
  rescue Core::Invalid => e
    e.problems.map { |each| [each.place, each.message] }
  end

  it "says the same again when it is read and written, and changes little when the design does" do
    content = file.read(text)
    people = content.people.each_with_index.to_h { |person, index| [index + 1, person] }
    expect(file.write(content.project, people)).to eq(text)
    moved =
      Core::Design::Changes::PinRule.new(
        table: "members",
        rule: content.project.table("members").rule("r18").attributes.merge("high" => "8")
      ).apply(content.project)
    expect((file.write(moved, people).lines - text.lines).length).to be_between(1, 3)
    expect(text.lines.map(&:length).max).to be < 700
  end

  it "has a published schema, which is what the code says and what the demo keeps to" do
    published = JSON.parse(File.read(File.join(root, "docs", "project.schema.json")))
    expect(published).to eq(file::Schema.to_h)
    expect(JSONSchemer.valid_schema?(published)).to be(true)
    expect(JSONSchemer.schema(published).validate(JSON.parse(text)).map { |error| error["error"] }).to eq([])
    wrong = JSON.parse(text).tap { |design| design["tables"][0]["rules"][0]["high"] = "1" }
    expect(JSONSchemer.schema(published).valid?(wrong)).to be(false)
  end

  {
    "of a later version" => [->(design) { design.merge("version" => 3) }, [nil, /version 3.*newer Up Tack/]],
    "of another format" => [->(design) { design.merge("format" => "other") }, [nil, /its format is “other”/]],
    "with a rule kind that there is not" => [
      ->(design) { design.tap { design["tables"][1]["rules"][0]["kind"] = "chek" } },
      ["tables › pieces › rules › r39 › kind", /no rule kind “chek”/]
    ],
    "with a part that does not belong to its kind" => [
      ->(design) { design.tap { design["tables"][1]["rules"][0]["high"] = "1" } },
      ["tables › pieces › rules › r39 › high", /nothing of that name/]
    ],
    "with a list that is missing" => [
      ->(design) { design.merge("lists" => []) },
      ["tables › pieces › fields › clay_family › list", /list “l102”, which the file does not have/]
    ],
    "with a doubled key" => [
      ->(design) { design.tap { design["tables"][1]["fields"][1]["key"] = "tag" } },
      ["tables › pieces › fields › tag", /2 fields have the key “tag”/]
    ],
    "with a doubled id" => [
      ->(design) { design.tap { design["tables"][1]["rules"][0]["id"] = "r40" } },
      ["tables › pieces › rules › received", /“r40” is used 2 times/]
    ],
    "with a table that is missing" => [
      ->(design) { design.tap { design["tables"].reject! { |table| table["key"] == "titles" } } },
      ["tables › members › fields › title › target", /table “titles”/]
    ],
    "with a formula that leads nowhere" => [
      ->(design) do
        design.tap {
          design["tables"][1]["rules"].find { |rule|
            rule["id"] == "r42"
          }["formula"] = "recieved + 14"
        }
      end,
      ["tables › pieces › rules › r42 › formula", /did you mean `received`/]
    ],
    "with a circle" => [
      ->(design) do
        design
          .tap { design["tables"][1]["rules"].find { |rule| rule["id"] == "r85" }["formula"] = "days_late" }
          .tap { design["tables"][1]["rules"].find { |rule| rule["id"] == "r86" }["formula"] = "loss" }
      end,
      ["tables › pieces", /Circular reference: .*Days late/]
    ],
    "with a line break in a name" => [
      ->(design) {
        design.tap {
          design["tables"][1]["rules"][0]["name"] = "Mine\n; DROP TABLE pieces; --"
        }
      },
      ["tables › pieces › rules › r39 › name", /can't contain line breaks/]
    ],
    "with a line break in an id" => [
      ->(design) { design.tap { design["tables"][1]["id"] = "t1\n--" } },
      ["tables › pieces › id", /can't contain line breaks/]
    ],
    "with a time zone that there is not" => [
      ->(design) { design.tap { design["conventions"]["time_zone"] = "Mars/North" } },
      ["conventions › time_zone", /no time zone with that name/]
    ],
    "with a count of ids that is too low" => [->(design) {
      design.merge("last_id" => 5)
    }, ["last_id", /not 5/]],
    "with somebody who is not there" => [
      ->(design) { design.tap { design["tables"][0]["review"]["person"] = "Nobody" } },
      ["tables › members › review › person", /Nobody, who is not one of/]
    ],
    "with a proof that plays at no hour" => [
      ->(design) { design.tap { design["tables"][1]["proofs"][0]["at"] = "soon" } },
      ["at", /it needs a date and time/]
    ]
  }.each do |what, (change, (place, message))|
    it "#{what} is refused whole, with the place" do
      found = problems(JSON.generate(change.call(JSON.parse(text))))
      expect(found).to include([place, match(message)])
    end
  end

  it "tells everything that is wrong at once" do
    design = JSON.parse(text)
    design["tables"][0]["fields"][7]["decimals"] = "x"
    design["tables"][0]["rules"][0]["kind"] = "x"
    design["tables"][1]["rules"].find { |rule| rule["id"] == "r42" }["formula"] = "1 +"
    expect(problems(JSON.generate(design)).map(&:first)).to include(
      "tables › members › fields › shelves › decimals",
      "tables › members › rules › r12 › kind",
      "tables › pieces › rules › r42 › formula"
    )
  end

  it "that was cut off, wherever, says at which line" do
    [10, 500, 5_000, 60_000, text.length - 3].each do |length|
      place, message = problems(text[0, length]).first
      last = text[0, length].count("\n") + 1
      expect([place, message]).to match(["line #{last}", /Not valid JSON: .* \(line #{last}, column \d+\)/])
    end
    expect(problems(text.sub('"version": 2,', '"version": 2')).first.last).to match(
      /expected ',' or '}' after object value \(line 4, column \d+\)/
    )
    expect(problems("\xFF".b).first.last).to include("not valid UTF-8")
    expect(problems("[" * 200).first.last).to include("nested too deeply")
  end

  describe "merged into a project" do
    let(:content) { file.read(text) }

    def merged(project, design) = Core::Design::Changes::ApplyProjectFile.new(design: design).apply(project)

    it "of its own changes nothing" do
      expect(merged(content.project, content.design).attributes).to eq(content.project.attributes)
    end

    it "that has nothing comes to the same design under other ids" do
      empty = Core::Design::Project.from("name" => "New", "last_id" => 900, "tables" => [])
      made = merged(empty, content.design)
      expect(made.table("pieces").rules.map { |each| each.sentence(made.table("pieces")) }).to eq(
        content.project.table("pieces").rules.map { |each| each.sentence(content.project.table("pieces")) }
      )
      results =
        made.tables.flat_map do |table|
          table.proofs.map { |proof| Core::Bench::Run.new(made).call(table, proof).state }
        end
      expect(results.tally).to eq("passed" => 60, "broken" => 2)
    end

    it "takes nothing away, changes what both have and adds the rest, without giving an id twice" do
      design = content.project.attributes
      design["tables"].find { |table| table["key"] == "clays" }["fields"] << {
        "id" => "f900",
        "key" => "origin",
        "label" => "Origin",
        "type" => "text"
      }
      incoming = JSON.parse(text).except("format", "version", "people")
      members = incoming["tables"].find { |table| table["key"] == "members" }
      members["rules"].find { |rule| rule["id"] == "r18" }["high"] = "8"
      members["rules"] << {"id" => "r900", "kind" => "required", "field" => "email"}
      incoming["tables"].first["review"]["person"] = 1
      made = merged(Core::Design::Project.from(design.merge("last_id" => 900)), incoming)
      expect(made.table("clays").field("origin")).not_to be_nil
      found =
        Core::Design::ProjectDiff.new(Core::Design::Project.from(design.merge("last_id" => 900)), made).differences
      expect(found.map { |each| [each.what, each.before.nil?] }).to contain_exactly(
        ["rule", false],
        ["rule", true],
        ["proof", false]
      )
      ids =
        made.tables.flat_map do |table|
          [table.id, *table.fields.map(&:id), *table.rules.map(&:id), *table.proofs.map(&:id)]
        end
      expect(ids.uniq.length).to eq(ids.length)
    end
  end
end
