# frozen_string_literal: true

require "json_schemer"
require "store_helper"

RSpec.describe "Records out and in again" do
  texts = [
    "=1+1",
    "'=x",
    "''-y",
    "@home",
    "+44",
    "-",
    "a,b;c\td|e",
    "\"quoted\" 5\"",
    "Ärmel ﬁ Ω 日本",
    "x",
    "'",
    "  spaced  out ",
    "1,5",
    "31/12/2026",
    "yes",
    "0012",
    "#3",
    "null",
    "<b>&amp;</b>"
  ]
  lines = ["two\nlines", "ends\n\n", "\"a\"\n=b", "\t tabbed"]
  numbers = %w[0 -5 0.1 -0.000000000000001 123456789012345 99999999.9999999 12.50]
  days = %w[2026-02-28 2024-02-29 1999-12-31 0099-01-01]

  def odd_table(label)
    change(:AddTable, label: label)
    key = workspace.project.tables.last.key
    [
      %w[Words text],
      %w[Several long_text],
      %w[Amount number],
      %w[Day date],
      %w[Hour time],
      %w[At moment],
      %w[Done yes_no]
    ].each { |name, type| change(:AddField, table: key, parts: {"label" => name, "type" => type}) }
    change(
      :AddField,
      table: key,
      parts: {"label" => "Kind", "type" => "choice", "choices" => ["=Odd", "Even, too", "+"]}
    )
    change(:AddField, table: key, parts: {"label" => "Who", "type" => "link", "target" => "members"})
    change(:PinRule, table: key, rule: {"kind" => "default", "field" => "amount", "value" => "7"})
    key
  end

  def rows(table) =
    [].tap { |all| UpTack::Store::RecordTable.new(workspace.table(table)).each { |_, row| all << row.to_h } }

  def out(table, format)
    path = File.join(StoreHelp::FOLDER, "exchange.#{format}")
    File.open(path, "wb") do |io|
      UpTack::UseCases::Exports::Records.new(workspace).call(table: table, format: format, io: io)
    end
    path
  end

  def bring_in(path, table, **settings)
    source = UpTack::Interchange::Source.open(path)
    looked = UpTack::UseCases::Imports::FileAnalysis.new(workspace).call(source, workspace.table(table))
    settings.each { |name, value| looked.settings[name] = value }
    UpTack::UseCases::Imports::Run.new(workspace).call(
      source: source,
      table: table,
      settings: looked.settings,
      keep: "all",
      name: File.basename(path)
    )
  end

  it "gives the same records, for every type and every kind of odd text, in every format" do
    random = Random.new(11)
    pick = ->(list) { list[random.rand(list.length)] }
    from = odd_table("Odds")
    drafts =
      Array.new(60) do |index|
        {
          "words" => pick.call(texts + [nil]),
          "several" => pick.call(lines + texts + [nil]),
          "amount" => pick.call(numbers + [nil]),
          "day" => pick.call(days + [nil]),
          "hour" => pick.call(["09:30", "23:59:58", nil]),
          "at" => pick.call(["2026-10-25T00:30:00Z", "2026-10-25T01:30:00Z", "2026-11-23T09:30:07Z", nil]),
          "done" => pick.call(["yes", "no", nil]),
          "kind" => pick.call(["=Odd", "Even, too", "+", nil]),
          "who" => pick.call([*1..12, nil]),
          "name" => "##{index}"
        }
      end
    saved =
      UpTack::UseCases::Bulk::Write.new(workspace, channel: "import").call(
        table: from,
        drafts: drafts.map { |typed| {typed: typed} },
        summary: "Odds"
      )
    expect(saved.refused.flat_map(&:refusals)).to eq([])
    %w[csv xlsx json jsonl].each_with_index do |format, index|
      to = odd_table("Odds again #{index}")
      result = bring_in(out(from, format), to, blanks: "kept")
      expect([format, result.report.refused.map { |each| each.refusals.first[:message] }, result.made]).to eq(
        [format, [], 60]
      )
      rows(from)
        .zip(rows(to))
        .each_with_index do |(before, after), place|
          expect(after).to eq(before),
            "#{format}, record #{place}: #{before.reject { |key, value| after[key] == value }} " \
              "became #{after.reject { |key, value| before[key] == value }}"
        end
    end
  end

  it "says in SQL what of the rules it can, in a file that SQLite takes, and in schemas" do
    text = StringIO.new
    exports = UpTack::UseCases::Exports::Database.new(workspace)
    exports.sql(text)
    database = SQLite3::Database.new(":memory:")
    database.execute_batch(text.string)
    expect(
      %w[members pieces orders firings].map { |name| database.get_first_value("SELECT COUNT(*) FROM #{name}") }
    ).to eq([12, 28, 12, 55])
    expect { database.execute("UPDATE members SET shelves = 7 WHERE id = 1") }.to raise_error(
      SQLite3::ConstraintException
    )
    expect { database.execute("UPDATE pieces SET wet_weight = 1 WHERE id = 1") }.to raise_error(
      SQLite3::ConstraintException
    )
    expect(text.string).to include("-- Collected in 7 days =", "DEFAULT (date('now'))")

    path = File.join(StoreHelp::FOLDER, "all.sqlite3")
    exports.sqlite(path)
    copy = SQLite3::Database.new(path)
    expect(
      [
        copy.get_first_value("PRAGMA integrity_check"),
        copy.execute("PRAGMA foreign_key_check"),
        copy.get_first_value("SELECT wet_weight FROM pieces WHERE id = 1")
      ]
    ).to eq(["ok", [], 780.5])

    zip = File.join(StoreHelp::FOLDER, "all.zip")
    exports.package(zip)
    package = Zip::File.open(zip) { |file| JSON.parse(file.read("datapackage.json")) }
    shelves =
      package["resources"].find { |each| each["name"] == "members" }["schema"]["fields"].find do |field|
        field["name"] == "shelves"
      end
    expect(shelves["constraints"]).to eq("minimum" => "0", "maximum" => "6")
    schema = UpTack::Interchange::SchemaExport::JsonSchema.generate(workspace.table("pieces"), shape: "file")
    records = JSON.parse(File.read(out("pieces", "json")))
    expect(
      records.flat_map { |record| JSONSchemer.schema(schema).validate(record).map { |error| error["error"] } }
    ).to eq([])
  end

  {
    "a workbook that would unpack to far more than it is" => [
      ->(path) do
        UpTack::Interchange::READ &&
          Zip::OutputStream.open(path) do |zip|
            ["[Content_Types].xml", "xl/worksheets/sheet1.xml"].each do |name|
              zip.put_next_entry(name) && zip << ("0" * 40_000_000)
            end
          end
      end,
      "bomb.xlsx",
      /looks like a zip bomb/
    ],
    "five thousand columns" => [
      ->(path) { File.write(path, Array.new(5_000) { |index| "c#{index}" }.join(",")) },
      "wide.csv",
      /5000 columns; only the first 2000/
    ],
    "a cell of more than a megabyte" => [
      ->(path) { File.write(path, "a,b\n1,#{"x" * 1_200_000}\n") },
      "long.csv",
      /Row 2 .*beyond 1,048,576/
    ],
    "text under the ending of a workbook" =>
      [->(path) { File.write(path, "hello") }, "text.xlsx", /not a valid workbook/],
    "a list that ends in the middle" => [->(path) { File.write(path, '[{"a": 1}, {"a": ') }, "cut.json", /truncated/]
  }.each do |what, (make, name, message)|
    it "names #{what}, and keeps its memory" do
      path = File.join(StoreHelp::FOLDER, name)
      make.call(path)
      expect { UpTack::Interchange::Source.open(path).each_row { |_, _| nil } }.to raise_error(
        UpTack::Interchange::Unreadable,
        message
      )
    end
  end

  it "reads on where a file stops being as the standard has it, and finds the same before" do
    path = File.join(StoreHelp::FOLDER, "odd_quotes.csv")
    sound = Array.new(30) { |index| "\"Mug, no. #{index}\",#{"\"two\nlines\"" if index.even?}" }
    read = lambda do |*odd|
      File.write(path, ["Piece,Note", *sound, *odd].join("\n"))
      [].tap { |found| UpTack::Interchange::Source.open(path).each_row { |row, _| found << [row.number, *row.cells] } }
    end
    before = read.call
    expect(before.values_at(0, 1, 29)).to eq(
      [[2, "Mug, no. 0", "two\nlines"], [3, "Mug, no. 1", nil], [31, "Mug, no. 29", nil]]
    )
    expect(read.call("Plate 5\" wide,\" x\"y", "", "last,")).to eq(
      [*before, [32, "Plate 5\" wide", "\" x\"y"], [34, "last", nil]]
    )
  end

  it "names rows of odd lengths, mixed encodings, doubtful dates and links that mean two" do
    folder = UpTack::Installation.path("demo", "imports")
    try =
      lambda do |file, table, **settings|
        source = UpTack::Interchange::Source.open(File.join(folder, file))
        looked = UpTack::UseCases::Imports::FileAnalysis.new(workspace).call(source, workspace.table(table))
        settings.each { |name, value| looked.settings[name] = value }
        result =
          UpTack::UseCases::Imports::Run.new(workspace).call(
            source: source,
            table: table,
            settings: looked.settings,
            keep: "none",
            name: file
          )
        [
          looked.notes,
          result.report.refused.map do |each|
            [each.place, each.refusals.map { |refusal| refusal[:message] }.join(" ")]
          end
        ]
      end
    expect(try.call("members_mixed_encodings.csv", "members")).to match(
      [[/mixes encodings: line 2/, /Row 2 can't be read and will be refused/], [[2, /not valid UTF-8/]]]
    )
    expect(try.call("rows_of_different_length.csv", "members").last).to match([[3, /4 cells but the header row has 2/]])
    expect(try.call("both_date_orders.csv", "members")).to match(
      [[/mixes day-first and month-first dates/], [[3, /no month 31/]]]
    )
    expect(try.call("two_columns_of_one_name.csv", "members").first).to match([/Two columns are named/])
    refused = try.call("pieces_to_fix.csv", "pieces").last.to_h
    expect(refused.keys).to eq([5, 6, 7, 8, 9, 10, 11])
    expect(refused[6]).to include("more than one record is named “Ansa Velt” (#1, #6)")
    # A list is read as people would list it.
    expect(try.call("members.jsonl", "members").last).to be_empty
    expect([try.call("clays.xlsx", "clays").last, try.call("clays.ods", "clays").last.length]).to match(
      [[[4, /“hot” is not a number/]], be_between(0, 1)]
    )
    expect(try.call("formulas_as_text.csv", "members").last).to eq([])
  end

  it "says which reading of its dates a column takes, and what decided it" do
    notes =
      lambda do |*dates|
        Dir.mktmpdir do |folder|
          File.write(
            path = File.join(folder, "members.csv"),
            ["Name,Joined", *dates.map.with_index { |date, index| "Member #{index},#{date}" }].join("\n")
          )
          UpTack::UseCases::Imports::FileAnalysis
            .new(workspace)
            .call(UpTack::Interchange::Source.open(path), workspace.table("members"))
            .notes
        end
      end
    expect(notes.call("03/04/2026", "04/23/2026", "05/06/2026")).to contain_exactly(
      a_string_including(
        "“Joined” is read as month first, since row 3 has 04/23/2026; 2 other dates, such as " \
          "03/04/2026 in row 2,"
      )
    )
    expect(notes.call("03/04/2026", "05/06/2026")).to contain_exactly(
      a_string_including("is read as day first, the order of other columns or of the firm")
    )
    expect(notes.call("23/04/2026", "04/04/2026", "2026-01-02")).to be_empty
  end
end
