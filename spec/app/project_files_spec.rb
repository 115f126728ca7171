# frozen_string_literal: true

require "stringio"
require "store_helper"

RSpec.describe "Project files, in the store and on the command line" do
  let(:demo) { File.read(UpTack::Installation.path("demo", "kiln_share.json")) }
  let(:bring_in) { UpTack::UseCases::Design::ApplyProjectFile.new(workspace) }

  # @return [Array(Integer, String, String)] exit status, output and mistakes of a command
  def command(*arguments, input: "")
    out, err = StringIO.new, StringIO.new
    [UpTack::Commands.run(arguments, out: out, err: err, input: StringIO.new(input)), out.string, err.string]
  end

  def file(text, name = "project.json") = File.join(StoreHelp::FOLDER, name).tap { |path| File.write(path, text) }

  it "come out as the demo went in, without a password" do
    UpTack::UseCases::People::ChangePerson.new.change(person.id, "password" => "four kilns in a row")
    text = UpTack::UseCases::Design::WriteProjectFile.new(workspace).call
    expect(text).to eq(demo)
    expect(text).not_to include("password", person.reload.password_digest)
  end

  it "are brought in as one change, which one undo takes back, with people who have no password yet" do
    text =
      demo.sub('"high": "6"', '"high": "8"').sub(
        '"name": "Hale Orrin", "email": "hale@emberlane.example"',
        '"name": "Ilse Fern", "email": "ilse@emberlane.example"'
      )
    preview = bring_in.preview(text)
    expect(preview.differences.map(&:place)).to contain_exactly(
      "Shelves rented of Members",
      "Proof Rents 0 to 6 shelves of Members"
    )
    expect(preview.people.map { |each| each["name"] }).to eq(["Ilse Fern"])
    expect(demo_rule("limits", "shelves", of: "members").attributes["high"]).to eq("6")
    bring_in.call(text)
    expect(demo_rule("limits", "shelves", of: "members").attributes["high"]).to eq("8")
    expect(person("Ilse Fern")).to have_attributes(role: "reader", sign_in: "ilse", password?: false)
    design.undo
    expect(demo_rule("limits", "shelves", of: "members").attributes["high"]).to eq("6")
  end

  it "say what a field of another type would lose, and are refused whole where choices are in use" do
    text =
      demo.sub(
        '"key": "piece", "label": "Piece", "type": "text"',
        '"key": "piece", "label": "Piece", "type": "number"'
      )
    expect(bring_in.preview(text).losses).to eq([["Piece of Pieces", 28]])
    before = workspace.revision_id
    wrong = demo.sub("received + 14", "recieved + 14").sub('"kind": "check"', '"kind": "chek"')
    expect { bring_in.call(wrong) }.to raise_error(Core::Invalid) { |error|
      expect(error.problems.map(&:place)).to include(
        "tables › pieces › rules › r42 › formula",
        "tables › members › rules › r16 › kind"
      )
    }
    expect(workspace.revision_id).to eq(before)
  end

  it "prove themselves: a line each, a sum, and an exit status that any CI understands" do
    status, out, = command("prove", file(demo))
    expect([status, out.lines.last.chomp]).to eq([1, "60 passed, 2 failed"])
    expect(out).to include(
      "BROKEN  Pieces: Absorption exactly on the limit is porous: expected that Verdict is " \
        "Porous; Verdict is blank"
    )
    sound =
      JSON
        .parse(demo)
        .tap do |attributes|
          attributes["tables"].each do |table|
            table["proofs"]&.reject! { |proof| proof["note"].to_s.start_with?("Broken") }
          end
        end
    expect(command("prove", file(JSON.generate(sound))).first).to eq(0)
    expect(command("prove", file(demo[0, 9_000]))).to match([2, "", /project.json: line \d+: Not valid JSON/])
    expect(command("prove", "nowhere.json").first).to eq(2)
  end

  it "go from one database into a new one, and into one that has a project, with a dry run first" do
    here = UpTack::Store::Database.path
    status, out, = command("export-project", "--database", here)
    expect([status, out]).to eq([0, demo])
    fresh = File.join(StoreHelp::FOLDER, "fresh.sqlite3")
    FileUtils.rm_f(Dir["#{fresh}*"])
    expect(command("import-project", file(out), "--database", fresh, "--dry-run")).to match(
      [0, /7 tables, 4 people\. Nothing was changed/, ""]
    )
    expect(command("import-project", file(out), "--database", fresh, input: "short\n")).to match(
      [2, "", /at least 10 characters/]
    )
    expect(command("import-project", file(out), "--database", fresh, input: "four kilns in a row\n")).to match(
      [0, /is set up. Sign in as odile/, ""]
    )
    expect(command("export-project", "--database", fresh)[1]).to eq(demo)
    changed = demo.sub('"high": "6"', '"high": "8"')
    expect(command("import-project", file(changed), "--database", fresh, "--dry-run")[1]).to include(
      "~ Shelves rented of Members: Shelves rented must be between 0 and 8.",
      "Nothing was changed."
    )
    expect(command("import-project", file(changed), "--database", fresh)[1]).to include(
      "Imported: Ember Lane Kiln Share"
    )
    expect(command("sheet", file(changed))[1]).to include(
      "# Ember Lane Kiln Share: rule sheet",
      "- Shelves rented must be between 0 and 8.",
      "| Firing | Peak °C | Ramp °C an hour | Hold minutes |"
    )
    UpTack::Store::Database.open(here)
  end
end
