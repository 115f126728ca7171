# frozen_string_literal: true

require "stringio"
require "store_helper"

# What somebody meets who types a command for the first time, or wrongly.
RSpec.describe "The command line" do
  let(:demo) { UpTack::Installation.path("demo", "kiln_share.json") }

  # @return [Array(Integer, String, String)] exit status, output and errors
  def run(*arguments)
    out, err = StringIO.new, StringIO.new
    [UpTack::Commands.run(arguments, out: out, err: err, input: StringIO.new), out.string, err.string]
  end

  def folder(*parts) = File.join(StoreHelp::FOLDER, *parts)

  it "explains itself: every command with what it does, its options and an example" do
    _, list, = run("--help")
    commands = UpTack::Commands::Cli.commands.keys.map { |name| name.tr("_", "-") } - %w[help]
    expect(commands).to all(satisfy { |name| list.include?("uptack #{name}") })
    expect(list).to include("Exit status: 0 done")
    (commands - %w[version]).each do |name|
      status, text, errors = run(name, "--help")
      expect([name, status, errors]).to eq([name, 0, ""])
      expect(text).to include("Usage:").and include("Example: uptack #{name}")
    end
    expect(run("--version")).to eq([0, "Up Tack #{UpTack::Installation::VERSION}\n", ""])
  end

  it "shows on a terminal how far an export is, and leaves nothing of that behind" do
    out, err = StringIO.new, StringIO.new
    err.define_singleton_method(:tty?) { true }
    stub_const("UpTack::Commands::TerminalProgress::PAUSE", -1)
    path = folder("shown.csv")
    status =
      UpTack::Commands.run(["export", "pieces", path, "--database", UpTack::Store::Database.path], out: out, err: err,
        input: StringIO.new)
    shown = err.string.split("\r").map { |line| line.delete_suffix("\e[K") }
    expect([status, shown.last, out.string]).to eq([0, "", ""])
    expect(shown).to include("Export of Pieces: #{CSV.read(path).length - 1} / #{CSV.read(path).length - 1}")
  end

  it "names what it does not know or find, in a line, and ends with 2" do
    {
      %w[frobnicate] => /Unknown command “frobnicate”/,
      ["prove", demo, "--foo"] => /Unknown option --foo/,
      %w[import clays] => /Usage: uptack import TABLE FILE/,
      %w[prove nofile.json] => /\AFile not found: nofile.json$/,
      %w[sheet nofile.json] => /\AFile not found: nofile.json$/,
      ["check", "--database", folder("none.sqlite3")] => /\AThere is no project in .*none\.sqlite3/,
      ["check", "--database", demo] => /\ACan't use .*kiln_share\.json: file is not a database/,
      ["backup", "--database", demo] => /\AThe file is not a database\. Nothing was backed up\.$/,
      ["backup", "--database", folder("none.sqlite3")] => /\AFile not found: .*none\.sqlite3$/,
      ["import-project", demo, "--database", folder("nodir", "x.sqlite3")] => /\AFolder not found: .*nodir$/
    }.each do |arguments, message|
      status, out, errors = run(*arguments)
      expect([arguments, status, out]).to eq([arguments, 2, ""])
      expect(errors).to match(message)
    end
    expect(Dir.children(StoreHelp::FOLDER)).not_to include("none.sqlite3", "nodir")
  end

  it "says what can't be written, and loses nothing" do
    path = UpTack::Store::Database.path
    UpTack::Store::Database.close
    status, _, errors = run("export-project", "/nodir/x.json", "--database", path)
    expect([status, errors]).to eq([2, "Can't use /nodir/x.json: the folder does not exist.\n"])
    status, out, = run("export-project", folder("design.json"), "--database", path)
    expect([status, out, File.read(folder("design.json"))]).to eq([0, "", File.read(demo)])
  ensure
    UpTack::Store::Database.open(path)
  end

  it "answers in JSON where a script asks" do
    status, out, = run("prove", demo, "--json")
    answer = JSON.parse(out)
    expect([status, answer["passed"], answer["failed"]]).to eq([1, 60, 2])
    expect(answer["proofs"].find { |each| each["state"] == "broken" }["differences"]).to all(start_with("expected"))
  end

  it "takes an expression or a mask that begins with a minus for what it is" do
    expect(run("eval", "-2 ^ 2")).to eq([0, %({"type":"number","value":"-4"}\n), ""])
    expect(run("eval", "--today=2026-11-23", "-days(today(), date(\"2026-11-21\"))").first(2)).to eq(
      [0, %({"type":"number","value":"-2"}\n)]
    )
  end

  it "exports to a file or for other programs, and imports what they send" do
    path = UpTack::Store::Database.path
    UpTack::Store::Database.close
    run = lambda do |*arguments, input: ""|
      out, err = StringIO.new(+"".b), StringIO.new
      input = StringIO.new(input)
      [UpTack::Commands.run([*arguments, "--database", path], out: out, err: err, input: input), out.string, err.string]
    end
    status, text, errors = run.call("export", "clays", "--fields", "name,family", "--sort=-name", "--format", "jsonl")
    rows = text.lines.map { |line| JSON.parse(line) }
    expect([status, errors, rows.first.keys]).to eq([0, "", %w[Name Family]])
    expect(rows.map { |row| row["Name"] }).to eq(rows.map { |row| row["Name"] }.sort.reverse)
    expect(run.call("export", "clays", folder("clays.xlsx"), "--filter", "limit > 1200").first).to eq(0)
    source = UpTack::Interchange::Source.open(folder("clays.xlsx"))
    expect([source.format, source.columns.first]).to eq(%w[xlsx Name])
    csv = run.call("export", "clays", "-")[1].force_encoding("UTF-8")
    status, told, = run.call("import", "clays", "-", "--match", "name", "--dry-run", input: csv)
    expect([status, told]).to match([0, /0 new, 0 changed, #{rows.length} unchanged, 0 refused/])
    marks = "Name;Limit °C\nMoor;1.200\nFen;1.100\n"
    refused = [[], %w[--decimal comma], %w[--decimal point], %w[--decimal dot]].map do |how|
      run.call("import", "clays", "-", "--dry-run", *how, input: marks).values_at(0, 1)
    end
    expect(refused).to match([[1, /2 refused/], [0, /2 new/], [1, /2 refused/], [2, ""]])
    status, _, errors = run.call("import", "clays", "-", "--encoding", "EBCDIC", input: csv)
    expect([status, errors]).to match([2, /EBCDIC.*Windows-1252/m])
    status, _, errors = run.call("export", "clays", folder("x.doc"))
    expect([status, errors, File.exist?(folder("x.doc"))]).to match([2, /“doc”.*csv, xlsx/, false])
    status, _, errors = run.call("export", "clays", folder("y.csv"), "--filter", "limit >")
    expect([status, errors.empty?, Dir[folder("y.csv*")]]).to eq([2, false, []])
  ensure
    UpTack::Store::Database.open(path)
  end
end
