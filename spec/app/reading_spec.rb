# frozen_string_literal: true

require "store_helper"

# How text files are read, whoever wrote them.
RSpec.describe "Reading a file" do
  around { |example| Dir.mktmpdir { |folder| (@folder = folder) && example.run } }

  def source(bytes, name, **options)
    path = File.join(@folder, name)
    File.binwrite(path, bytes)
    UpTack::Interchange::Source.open(path, options: options.transform_keys(&:to_s))
  end

  def read(bytes, name = "x.csv", **options)
    source = source(bytes, name, **options)
    rows = []
    source.each_row { |row, _| rows << row.cells }
    [source.columns, rows]
  end

  random = Random.new(RSpec.configuration.seed)

  it "leaves out the spaces around quotes, and none within them" do
    cells = ["a", "b \"c\"", "x , y", " ; ", "two\nlines", "  ", "\"", "", "d\"\"e", "\" , \""]
    20.times do
      table = Array.new(random.rand(2..5)) { Array.new(3) { cells.sample(random: random) } }
      lines =
        table.map do |row|
          row.map { |cell| "\"#{cell.gsub("\"", "\"\"")}\"" }.join([" , ", ",", ", ", " ,"].sample(random: random))
        end
      text = "\"one\" , \"two\", \"three\"\n#{lines.join("\n")}\n"
      expected = table.reject { |row| row.all? { |cell| cell.strip.empty? } }
      expect(read(text)).to eq([%w[one two three], expected])
    end
  end

  it "takes the separator that the first line tells" do
    expect(read("sep=;\na;b,c\n1;2,5\n")).to eq([["a", "b,c"], [["1", "2,5"]]])
    expect(read("sep=|\r\na|b\r\n1|2\r\n")).to eq([%w[a b], [%w[1 2]]])
  end

  it "reads each encoding that somebody chooses, and says which there are" do
    text = "name,place\nBéa,Größe\n"
    {"Windows-1252" => text, "ISO-8859-15" => text, "macRoman" => text, "UTF-16LE" => text, "UTF-16BE" => text,
     "Windows-1250" => "name,place\nŁódź,ž\n", "ISO-8859-2" => "name,place\nŁódź,ž\n",
     "Shift_JIS" => "name,place\n茶碗,備前\n"}.each do |encoding, said|
      expect(read(said.encode(encoding).b, encoding: encoding)).to eq(
        [%w[name place], [said.lines.last.chomp.split(",")]]
      )
    end
    expect { read(text, encoding: "Klingon") }.to raise_error(UpTack::Interchange::Unreadable, /Klingon.*UTF-8/)
    expect { read(text, delimiter: "x") }.to raise_error(UpTack::Interchange::Unreadable, /semicolon/)
  end

  it "makes no records of blank rows, and counts none" do
    expect(read("a,b\n1,2\n,,\n\n \t, \n\"\",\"\"\n3,\n").last).to eq([%w[1 2], ["3", nil]])
  end

  it "finds a heading below titles, or where somebody says" do
    text = "Glazes of the studio\nprinted today\n\nname,limit,note\nAsh,1200,x\nTin,1000,\n"
    expect(read(text)).to eq([%w[name limit note], [["Ash", "1200", "x"], ["Tin", "1000", nil]]])
    # A heading may have blank cells, as one above the numbers of rows.
    expect(read(",value\n0,5\n1,6\n")).to eq([["Column 1", "value"], [%w[0 5], %w[1 6]]])
    expect(read("1,2\n3,4\n", heading: "none")).to eq([["Column 1", "Column 2"], [%w[1 2], %w[3 4]]])
    expect(read("1,2\n3,4\n5,6\n", heading: "2")).to eq([%w[3 4], [%w[5 6]]])
  end

  describe "JSON" do
    records = [{"a" => 1, "b" => {"c" => "x", "d" => {"e" => true}}}, {"a" => [1, "two"], "b" => {"c" => "}]\"{["}}]
    expected = [%w[a b.c b.d.e], [[BigDecimal(1), "x", true], ["1, two", "}]\"{[", nil]]]

    it "reads a list as it is, or within one object, with dots for what is nested" do
      around = {"meta" => {"n" => [1, [2]]}, "errors" => [], "data" => records, "more" => [{"z" => 1}]}
      [records, around].each do |whole|
        [JSON.generate(whole), JSON.pretty_generate(whole)].each do |text|
          expect(read(text, "x.json")).to eq(expected)
        end
      end
      expect(read(records.map { |each| JSON.generate(each) }.join("\n"), "x.json")).to eq(expected)
      expect(read(JSON.generate(records.first), "x.json").last).to eq([expected.last.first])
    end

    it "loses nothing silently: two values of one name are refused, other lists are told" do
      found = source(JSON.generate([{"a.b" => 1, "a" => {"b" => 2}}, {"a" => {"b" => 3}}]), "x.json")
      problems = []
      found.each_row { |row, _| problems << row.problem }
      expect(problems).to match([/two values for “a.b”/, nil])
      around = source(JSON.generate({"data" => [{"x" => 1}], "more" => [{"y" => 2}]}), "x.json")
      expect(around.notes.join).to include("Only its first list")
      expect(source(JSON.generate([{"x" => 1}]), "x.json").notes).to be_empty
    end

    it "says what is no list of objects, wherever it was cut off" do
      ['{"a": 1}'.sub("1", "{\n\"b\": 2}"), "[1, 2]", "[]", "\"x\"", "[\"x\"]", "{\"data\":\n[1]}\n"].each do |text|
        expect { read(text, "x.json") }.to raise_error(UpTack::Interchange::Unreadable), text
      end
      whole = JSON.pretty_generate("data" => records * 3)
      (1..9).each do |tenth|
        expect { read(whole[0, whole.length * tenth / 10], "x.json") }.to raise_error(UpTack::Interchange::Unreadable)
      end
    end
  end

  it "calls what is no table by what it is" do
    {
      "<?xml version=\"1.0\"?>\n<office:document xmlns:office=\"x\"><office:spreadsheet/></office:document>" => /FODS/,
      "<?xml version=\"1.0\"?><list/>" => /XML/,
      "<feed xmlns=\"y\"><a/></feed>" => /XML/,
      "<!DOCTYPE html><html>" => /web page/,
      "-- dump\n\nCREATE TABLE x (id int);" => /SQL/,
      "/* made */ INSERT INTO x VALUES (1);" => /SQL/,
      "PRAGMA foreign_keys=OFF;\nBEGIN TRANSACTION;" => /SQL/,
      "%PDF-1.7" => /PDF/,
      "SQLite format 3\0" => /database/,
      "{\\rtf1" => /text document/
    }.each do |text, words|
      expect { source(text, "x.csv") }.to raise_error(UpTack::Interchange::Unreadable, words), text
    end
  end
end
