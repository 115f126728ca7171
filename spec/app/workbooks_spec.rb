# frozen_string_literal: true

require "store_helper"
require "support/twins"

# What a cell shows in a spreadsheet is what comes in, whichever format it was saved in.
RSpec.describe "A workbook as XLSX and as ODS" do
  random = Random.new(RSpec.configuration.seed)
  texts = [
    "plain", "  two spaces ", "a  b", "two\nlines", "tab\there", "<b>&amp;</b>", "\"quoted\"", "'=1", "Ärmel 日本 👨‍👩‍👧",
    "1E+20", "0012", "#N/A", "<html>", "x\n\ny", "ends\n"
  ]
  numbers = %w[1E+20 -2.5E-7 0 -5 0.1 123456789012345 9007199254740993 12.50]
  kinds = [
    -> { [] },
    -> { [:text, texts.sample(random: random)] },
    -> { [:rich, Array.new(3) { texts.sample(random: random).tr("\n", " ") }] },
    -> { [:number, numbers.sample(random: random)] },
    -> { [:days, random.rand(100).to_s] },
    -> { [:percent, "0.05"] },
    -> { [:date, Date.new(1901, 1, 1) + random.rand(60_000)] },
    -> { [:moment, Time.utc(1950, 1, 1) + random.rand(3_000_000_000)] },
    -> { [:clock, random.rand(86_400)] },
    -> { [:elapsed, random.rand(1_000_000)] },
    -> { [:yes, random.rand < 0.5] },
    -> { [:error, ["#N/A", "#DIV/0!", "#REF!"].sample(random: random)] }
  ]

  around { |example| Dir.mktmpdir { |folder| (@folder = folder) && example.run } }

  # @return [Array] rows by number, and the source
  def read(format, rows, merged: [], **options)
    path = Twins.public_send(format, File.join(@folder, "twin.#{format}"), rows, merged: merged)
    source = UpTack::Interchange::Source.open(path, options: options.transform_keys(&:to_s))
    found = {}
    source.each_row { |row, _| found[row.number] = row.cells }
    [found, source]
  end

  head = Array.new(10) { |index| [:text, "Column #{index}"] }

  %i[xlsx ods].each do |format|
    it "is read cell by cell as it shows, as #{format}" do
      6.times do
        rows = Array.new(30) { Array.new(10) { kinds.sample(random: random).call } }
        found, = read(format, [head, *rows])
        expected = rows.each_with_index.to_h { |cells, index| [index + 2, cells.map { |cell| Twins.shown(cell) }] }
        expect(found).to eq(expected.reject { |_, cells| cells.none? })
      end
    end

    it "gives merged cells what they show, and says so, as #{format}" do
      rows = Array.new(6) { |row| Array.new(10) { |column| [:text, "#{row}.#{column}"] } }
      areas = [[2, 4, 0, 0], [3, 3, 2, 4], [5, 6, 8, 9]]
      areas.each do |top, bottom, left, right|
        [*top..bottom].product([*left..right]).drop(1).each { |row, column| rows[row - 1][column] = nil }
      end
      found, source = read(format, rows, merged: areas)
      expect(found.values_at(2, 3, 4).map(&:first)).to eq(%w[1.0 1.0 1.0])
      expect(found[3][2..4]).to eq(%w[2.2 2.2 2.2])
      expect(found.values_at(5, 6).flat_map { |cells| cells[8..9] }).to eq(%w[4.8] * 4)
      expect(found[4][2..4]).to eq(%w[3.2 3.3 3.4])
      expect(source.notes.join).to include("merged cells")
    end

    it "finds its heading below titles and empty rows, or where somebody says, as #{format}" do
      ones, twos = %w[1 2].map { |number| Array.new(10) { [:number, number] } }
      rows = [[[:text, "Glazes of 2026"]], [], head, ones, [], twos]
      found, source = read(format, rows)
      expect([source.heading, source.columns.first, found.keys]).to eq([3, "Column 0", [4, 6]])
      expect(source.notes.join).to include("row 3")
      found, source = read(format, rows, heading: "4")
      expect([source.columns.first(2), found.keys]).to eq([["1", "1 (2)"], [6]])
      found, source = read(format, rows, heading: "none")
      expect([source.columns.first, found.keys]).to eq(["Column 1", [1, 3, 4, 6]])
      expect { read(format, rows, heading: "5") }.to raise_error(UpTack::Interchange::Unreadable, /Row 5/)
    end
  end
end
