# frozen_string_literal: true

require "store_helper"
require "zip"

# Files as they come: cut off, damaged, under a wrong ending. Whatever it is, it is either read or
# refused in words that name the file, and what is refused leaves nothing behind.
RSpec.describe "Broken files" do
  files =
    Dir[File.expand_path("../../demo/imports/*", __dir__)].select do |path|
      %w[.csv .xlsx .ods .json .jsonl].include?(File.extname(path))
    end
  random = Random.new(RSpec.configuration.seed)

  around { |example| Dir.mktmpdir { |folder| (@folder = folder) && example.run } }

  def counts = workspace.project.tables.to_h { |table| [table.key, UpTack::Store::RecordTable.new(table).count] }

  # @return [Symbol] :saved or :refused
  def take(bytes, name, table)
    path = File.join(@folder, name)
    File.binwrite(path, bytes)
    source = UpTack::Interchange::Source.open(path, name: name)
    looked = UpTack::UseCases::Imports::FileAnalysis.new(workspace).call(source, workspace.table(table))
    return :refused if looked.settings.columns.none?(&:field)

    result =
      UpTack::UseCases::Imports::Run.new(workspace).call(
        source: source,
        table: table,
        settings: looked.settings,
        keep: "all",
        name: name,
        refused: File.join(@folder, "refused.jsonl")
      )
    result.report.clean? ? :saved : :refused
  rescue UpTack::Interchange::Unreadable => e
    expect(e.message).to include(name).or match(/row|line|object/i)
    :refused
  end

  def table_of(path) = %w[clays members pieces].find { |key| File.basename(path).start_with?(key) } || "members"

  files.each do |path|
    it "takes or refuses #{File.basename(path)} whole, wherever it is cut off or damaged" do
      whole = File.binread(path)
      changed =
        Array.new(Thorough.rounds(2)) { whole[0, random.rand(whole.bytesize)] } +
        Thorough.some(Array.new(5) { |length| whole[0, length] }, 2, random) +
        Array.new(Thorough.rounds(2)) do
          whole.dup.tap { |bytes| 4.times { bytes.setbyte(random.rand(bytes.bytesize), random.rand(256)) } }
        end
      # The directory of a packed file stands at its end.
      changed +=
        Array.new(Thorough.rounds(2)) do
          whole.dup.tap do |bytes|
            2.times { bytes.setbyte([bytes.bytesize - 1 - random.rand(400), 0].max, random.rand(256)) }
          end
        end
      changed.each do |bytes|
        before = counts
        answer = take(bytes, File.basename(path), table_of(path))
        expect(counts).to eq(before), bytes.inspect if answer == :refused
        expect(ActiveRecord::Base.connection.select_value("PRAGMA integrity_check")).to eq("ok")
      end
    end
  end

  it "is not misled by a wrong ending" do
    Thorough.some(files.product(%w[csv xlsx ods json jsonl]), 15, random).each do |path, ending|
      before = counts
      answer = take(File.binread(path), "as.#{ending}", table_of(path))
      expect(counts).to eq(before), "#{path} as #{ending}" if answer == :refused
    end
  end

  # A few hundred bytes that say they are gigabytes: told before anything of it is made.
  it "is read in a process that may take so much memory and no more" do
    stub_const("UpTack::Interchange::Readers::Apart::MEMORY", 60_000_000)
    path = files.find { |each| each.end_with?(".xlsx") }
    expect { UpTack::Interchange::Source.open(path) }.to raise_error(
      UpTack::Interchange::Unreadable,
      /needs more memory or time/
    )
  end

  describe "that repeat themselves beyond measure" do
    def packed(name, entries)
      path = File.join(@folder, name)
      Zip::OutputStream.open(path) { |zip| entries.each { |entry, text| zip.put_next_entry(entry) && zip.write(text) } }
      File.binread(path)
    end

    def ods(rows)
      head =
        %w[office text table]
          .map { |name| %(xmlns:#{name}="urn:oasis:names:tc:opendocument:xmlns:#{name}:1.0") }
          .join(" ")
      packed(
        "it.ods",
        "META-INF/manifest.xml" =>
          %(<manifest:manifest xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0"/>),
        "mimetype" => "application/vnd.oasis.opendocument.spreadsheet",
        "content.xml" =>
          %(<?xml version="1.0"?><office:document-content #{head}><office:body><office:spreadsheet>) +
            %(<table:table table:name="S">#{rows}</table:table>) +
            %(</office:spreadsheet></office:body></office:document-content>)
      )
    end

    cell = ->(text, more = "") do
      %(<table:table-cell office:value-type="string" #{more}><text:p>#{text}</text:p></table:table-cell>)
    end
    row = ->(cells, more = "") { "<table:table-row #{more}>#{cells}</table:table-row>" }
    head = row.call(cell.call("Name"))
    {
      "spaces" => head + row.call(cell.call('a<text:s text:c="900000000"/>b')),
      "cells side by side" => head + row.call(cell.call("a", 'table:number-columns-repeated="900000000"')),
      "rows" => head + row.call(cell.call("a") * 10, 'table:number-rows-repeated="900000"'),
      "columns before a cell" =>
        head + row.call(%(<table:table-cell table:number-columns-repeated="90000000"/>) + cell.call("a")),
      "corners far apart" =>
        head + row.call("<table:table-cell/>", 'table:number-rows-repeated="900000"') +
          row.call(%(<table:table-cell table:number-columns-repeated="9000"/>) + cell.call("a"))
    }.each do |what, rows|
      it "is refused for #{what}" do
        expect(take(ods(rows), "it.ods", "members")).to eq(:refused)
        expect { UpTack::Interchange::Source.open(File.join(@folder, "it.ods"), name: "it.ods") }.to raise_error(
          UpTack::Interchange::Unreadable,
          /looks like a zip bomb/
        )
      end
    end

    it "is read where what is repeated is empty, as spreadsheets write it" do
      rows =
        head + row.call(cell.call("Ansa Marlow") + %(<table:table-cell table:number-columns-repeated="16383"/>)) +
        row.call(
          %(<table:table-cell table:number-columns-repeated="16384"/>),
          'table:number-rows-repeated="1048574"'
        )
      ods(rows)
      read = []
      UpTack::Interchange::Source
        .open(File.join(@folder, "it.ods"), name: "it.ods")
        .each_row { |line, _| read << line.cells }
      expect(read).to eq([["Ansa Marlow"]])
    end

    it "is refused for a cell in a column that there is not" do
      sheet = "<worksheet " \
        'xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData><row ' \
        'r="1"><c r="A1" t="inlineStr"><is><t>Name</t></is></c></row><row r="2"><c ' \
        'r="ZZZZZ2"><v>1</v></c></row></sheetData></worksheet>'
      bytes = packed("it.xlsx", "[Content_Types].xml" => "<Types/>", "xl/worksheets/sheet1.xml" => sheet)
      expect(take(bytes, "it.xlsx", "members")).to eq(:refused)
      expect { UpTack::Interchange::Source.open(File.join(@folder, "it.xlsx"), name: "it.xlsx") }.to raise_error(
        UpTack::Interchange::Unreadable,
        /beyond the last column/
      )
    end
  end
end
