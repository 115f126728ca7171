# frozen_string_literal: true

require "store_helper"

# In how many ways people and programs write a value: what a column is taken for, and what comes in, by one table.
RSpec.describe "What is written in cells" do
  day = ->(text) { Date.iso8601(text) }
  at = ->(text) { Time.iso8601(text) }
  number = ->(text) { BigDecimal(text) }
  # Each column: the type that is proposed, then texts with the values that come in; nil for a blank one.
  columns = {
    "plain numbers" => ["number", {"1" => "1", "-5" => "-5", "0" => "0", "12.5" => "12.5", ".5" => "0.5"}],
    "grouped" => ["number", {"1,234.56" => "1234.56", "1,234,567" => "1234567", "12" => "12", "-1,000" => "-1000"}],
    "other marks" => ["number", {"1.234,56" => "1234.56", "1.234.567" => "1234567", "0,5" => "0.5", "7" => "7"}],
    "spaces" => ["number", {"1 234,5" => "1234.5", "1\u00A0234\u00A0567" => "1234567", "1\u202F000" => "1000"}],
    "apostrophes" => ["number", {"1'234" => "1234", "1’234’567.5" => "1234567.5", "9" => "9"}],
    "exponents" => ["number", {"1e5" => "100000", "-2.5E-3" => "-0.0025", "3" => "3", "1E+2" => "100"}],
    "accounts" => ["number", {"(3)" => "-3", "(1,234.50)" => "-1234.5", "4" => "4"}],
    "dollars" => ["number", {"$1,234.50" => "1234.5", "$5" => "5", "-$3" => "-3", "($2)" => "-2"}],
    "euros" => ["number", {"1.234,50 €" => "1234.5", "5,10 €" => "5.1"}],
    "percent" => ["number", {"5 %" => "5", "12.5 %" => "12.5"}],
    "weights" => ["number", {"5 kg" => "5", "1,200.5 kg" => "1200.5"}],
    "currency codes" => ["number", {"EUR 5" => "5", "EUR 1,200.00" => "1200"}],
    "several units" => ["text", {"5 kg" => "5 kg", "3 lb" => "3 lb"}],
    "units now and then" => ["text", {"5 kg" => "5 kg", "3" => "3"}],
    "with nothing" => ["number", {"5" => "5", "NA" => nil, "n/a" => nil, "NULL" => nil, "-" => nil, "7.5" => "7.5"}],
    "nothing but dashes" => ["text", {"-" => "-", "NA" => "NA"}],
    "words and nothing" => ["text", {"red" => "red", "none" => "none"}],
    "telephones" => ["text", {"+44 20 7946 0000" => "+44 20 7946 0000", "+353 1 234" => "+353 1 234"}],
    "with zeros" => ["text", {"0012" => "0012", "0450" => "0450"}],
    "sort codes" => ["text", {"12-34-56" => "12-34-56", "20-45-77" => "20-45-77"}],
    "versions" => ["text", {"1.2.3" => "1.2.3", "10.2.3" => "10.2.3"}],
    "long numbers" => ["text", {"1234567890123456" => "1234567890123456", "4" => "4"}],
    "house numbers" => ["text", {"12a" => "12a", "14b" => "14b"}],
    "ISO days" => ["date", {"2026-11-23" => "2026-11-23", "1999-01-02" => "1999-01-02"}],
    "days in figures" => ["date", {"23/11/2026" => "2026-11-23", "1/2/2026" => "2026-02-01"}],
    "American days" => ["date", {"11/23/2026" => "2026-11-23", "1/2/2026" => "2026-01-02"}],
    "German days" => ["date", {"23.11.2026" => "2026-11-23", "1.2.26" => "2026-02-01"}],
    "years first" => ["date", {"2026/11/23" => "2026-11-23", "2026.1.2" => "2026-01-02"}],
    "named months" => [
      "date",
      {
        "Jan 1 2000" => "2000-01-01",
        "23-Nov-2026" => "2026-11-23",
        "3 March 1999" => "1999-03-03",
        "March 3, 1999" => "1999-03-03"
      }
    ],
    "days of eight figures" => ["date", {"20261123" => "2026-11-23", "19991231" => "1999-12-31"}],
    "eight figures" => ["number", {"20261123" => "20261123", "12" => "12"}],
    "days with nothing" => ["date", {"2026-11-23" => "2026-11-23", "N/A" => nil}],
    "moments" => [
      "moment",
      {"2026-11-23 09:30" => "2026-11-23T09:30:00Z", "2026-11-23T10:00:05" => "2026-11-23T10:00:05Z"}
    ],
    "zones" => [
      "moment",
      {
        "2026-11-23T09:30:00Z" => "2026-11-23T09:30:00Z",
        "2026-11-23 09:30:00+02:00" => "2026-11-23T07:30:00Z",
        "2026-11-23 09:30+0100" => "2026-11-23T08:30:00Z"
      }
    ],
    "American moments" => [
      "moment",
      {"2/1/2026 9:30 AM" => "2026-02-01T09:30:00Z", "11/23/2026 1:05 PM" => "2026-11-23T13:05:00Z"}
    ],
    "days and moments" => [
      "moment",
      {"2026-11-23" => "2026-11-23T00:00:00Z", "2026-11-23 09:30" => "2026-11-23T09:30:00Z"}
    ],
    "times" => ["time", {"9:30" => "09:30:00", "17:05:10" => "17:05:10", "9:30 PM" => "21:30:00"}],
    "durations" => ["text", {"27:30" => "27:30", "9:30" => "9:30"}],
    "yes and no" => ["yes_no", {"yes" => true, "No" => false, "TRUE" => true}],
    "t and f" => ["yes_no", {"t" => true, "f" => false}],
    "ja and nein" => ["yes_no", {"ja" => true, "Nein" => false}],
    "letters and a name" => ["text", {"t" => "t", "Fern" => "Fern"}],
    "pounds and pence" => ["number", {"£3.50" => "3.5", "£1,000" => "1000", "-£0.05" => "-0.05", "£12" => "12"}],
    "yen" => ["number", {"¥1,200" => "1200", "¥90" => "90"}],
    "rupees" => ["number", {"₹5" => "5", "₹1,250.75" => "1250.75"}],
    "francs" => ["number", {"CHF 1'234.50" => "1234.5", "CHF 5" => "5"}],
    "codes behind" => ["number", {"5 EUR" => "5", "1,200 EUR" => "1200"}],
    "degrees" => ["number", {"1240 °C" => "1240", "-5 °C" => "-5", "1,260 °C" => "1260"}],
    "degrees without a space" => ["number", {"1240°C" => "1240", "980°C" => "980"}],
    "per mille" => ["number", {"5 ‰" => "5", "2.5 ‰" => "2.5"}],
    "percent without a space" => ["number", {"5%" => "5", "-2.5%" => "-2.5", "100%" => "100"}],
    "areas" => ["number", {"5 m²" => "5", "12.5 m²" => "12.5"}],
    "litres" => ["number", {"5 l" => "5", "0.75 l" => "0.75"}],
    "real minus signs" => ["number", {"−5" => "-5", "−1,000" => "-1000", "3" => "3"}],
    "country codes" => ["text", {"+44" => "+44", "+353" => "+353"}],
    "fifteen digits" => ["number", {"123456789012345" => "123456789012345", "0.000001" => "0.000001"}],
    "zeros behind" => ["number", {"5.00" => "5", "0.10" => "0.1", "1200.500" => "1200.5"}],
    "numbers with commas only" => ["number", {"0,75" => "0.75", "12,5" => "12.5", "3" => "3"}],
    "numbers and nothing in words" => ["number", {"5" => "5", "none" => nil, "null" => nil, "–" => nil, "NIL" => nil}],
    "amounts in brackets" => ["number", {"($1,250.00)" => "-1250", "$3.00" => "3"}],
    "two currencies" => ["text", {"$5" => "$5", "€5" => "€5"}],
    "ordinals" => ["date", {"1st March 2026" => "2026-03-01", "22nd Nov 2026" => "2026-11-22"}],
    "weekdays" => ["date", {"Mon 23 Nov 2026" => "2026-11-23", "Tue, 24 November 2026" => "2026-11-24"}],
    "months in small letters" => ["date", {"23 nov 2026" => "2026-11-23", "3 may 1999" => "1999-05-03"}],
    "months with a full stop" => ["date", {"23. Nov. 2026" => "2026-11-23", "Nov. 3, 2026" => "2026-11-03"}],
    "years of two figures" => ["date", {"23/11/26" => "2026-11-23", "01/02/99" => "1999-02-01"}],
    "days that hardly exist" => ["date", {"29/02/2024" => "2024-02-29", "31.12.1999" => "1999-12-31"}],
    "days that do not exist" => ["text", {"30/02/2026" => "30/02/2026", "31/04/2026" => "31/04/2026"}],
    "months that do not exist" => ["text", {"2026-13-01" => "2026-13-01", "2026-00-10" => "2026-00-10"}],
    "days with dashes" => ["date", {"23-11-2026" => "2026-11-23", "05-06-2026" => "2026-06-05"}],
    "eight figures that are no day" => ["number", {"20260231" => "20260231", "20261123" => "20261123"}],
    "weeks" => ["text", {"2026-W48" => "2026-W48", "2026-W01" => "2026-W01"}],
    "quarters" => ["text", {"Q1 2026" => "Q1 2026", "Q4 2025" => "Q4 2025"}],
    "parts of a second" => ["moment", {"2026-11-23T09:30:00.250Z" => "2026-11-23T09:30:00Z"}],
    "zones behind GMT" => [
      "moment", {"2026-11-23T09:30:00-05:00" => "2026-11-23T14:30:00Z",
                 "2026-11-23 23:30-0530" => "2026-11-24T05:00:00Z"}
    ],
    "German moments" => [
      "moment", {"23.11.2026 09:30" => "2026-11-23T09:30:00Z", "1.2.2026 17:05:10" => "2026-02-01T17:05:10Z"}
    ],
    "noon and midnight" => ["time", {"12:00 AM" => "00:00:00", "12:00 PM" => "12:00:00", "1:05 pm" => "13:05:00"}],
    "ends of the day" => ["time", {"00:00" => "00:00:00", "23:59" => "23:59:00", "23:59:59" => "23:59:59"}],
    "ratios" => ["text", {"3:4" => "3:4", "16:9" => "16:9"}],
    "oui and non" => ["yes_no", {"oui" => true, "Non" => false}],
    "si and no" => ["yes_no", {"sí" => true, "no" => false}],
    "capital answers" => ["yes_no", {"YES" => true, "NO" => false, "true" => true, "False" => false}],
    "on and perhaps" => ["text", {"yes" => "yes", "perhaps" => "perhaps"}],
    "addresses of machines" => ["text", {"192.168.0.1" => "192.168.0.1", "10.0.0.12" => "10.0.0.12"}],
    "post codes" => ["text", {"SW1A 1AA" => "SW1A 1AA", "EC2 4XY" => "EC2 4XY"}],
    "post codes of figures" => ["text", {"01067" => "01067", "10115" => "10115"}],
    "book numbers" => ["text", {"978-3-16-148410-0" => "978-3-16-148410-0", "0-306-40615-2" => "0-306-40615-2"}],
    "card numbers" => ["text",
      {"4000 1234 5678 9010" => "4000 1234 5678 9010", "4000123456789010" => "4000123456789010"}],
    "mail addresses" => ["text", {"ona@example.org" => "ona@example.org", "7@example.org" => "7@example.org"}],
    "sizes" => ["text", {"10x20" => "10x20", "5 x 7" => "5 x 7"}],
    "fractions" => ["text", {"1/2" => "1/2", "3/4" => "3/4"}],
    "ranges" => ["text", {"5-10" => "5-10", "900–980" => "900–980"}],
    "comparisons" => ["text", {"<5" => "<5", "> 10" => "> 10"}],
    "hexadecimal" => ["text", {"0x1F" => "0x1F", "FF00AA" => "FF00AA"}],
    "not a number" => ["text", {"NaN" => "NaN", "inf" => "inf", "1" => "1"}],
    "telephones with brackets" => ["text",
      {"(020) 7946 0000" => "(020) 7946 0000", "(0161) 496 0001" => "(0161) 496 0001"}],
    "odd" => ["text", {"1,2,3" => "1,2,3", "1..2" => "1..2", "--5" => "--5", "5-" => "5-", "e5" => "e5"}]
  }
  meant = {
    "number" => number, "date" => day, "moment" => at,
    "time" => ->(text) { UpTack::Core::DayTime.read(text) }, "yes_no" => ->(value) { value },
    "text" => ->(text) { text }
  }

  it "knows 200 spellings and more" do
    expect(columns.values.sum { |_, cells| cells.length }).to be > 200
  end

  it "is proposed as what it comes in as" do
    header = columns.keys
    height = columns.values.map { |_, cells| cells.length }.max
    rows =
      Array.new(height) { |row| columns.values.map { |_, cells| cells.keys[row] || cells.keys.last } }
    file = [["row", *header], *rows.each_with_index.map { |row, index| ["r#{index}x", *row] }]
    upload = UpTack::UseCases::Imports::Uploads.new(person).add(
      StringIO.new(file.map { |row| CSV.generate_line(row) }.join), "spellings.csv"
    )
    look = ->(table = nil) do
      UpTack::UseCases::Imports::FileAnalysis.new(workspace).call(
        upload.source, table, known: table ? upload.fields(table) : {}
      )
    end
    proposed = UpTack::UseCases::Imports::NewTable.propose(
      look.call.profiles, UpTack::UseCases::Imports::KnownNames.new(workspace)
    )
    expect(proposed.drop(1).to_h { |each| [each.column, each.type] }).to eq(columns.transform_values(&:first))
    parts = %i[column label type choices format]
    fields = proposed.map { |each| each.to_h.slice(*parts).transform_keys(&:to_s).compact }
    table = UpTack::UseCases::Imports::MakeTable.new(workspace).call(label: "Spellings", fields: fields, upload: upload)
    result = UpTack::UseCases::Imports::ImportUpload.new(workspace).call(
      table: table.key, upload: upload, options: {}, overrides: {}, keep: "all"
    )
    expect(result.report.refused.map(&:refusals)).to be_empty
    stored = []
    UpTack::Store::RecordTable.new(workspace.table(table.key)).each { |_, row| stored << row.to_h }
    columns.zip(table.fields.drop(1)) do |(name, (type, cells)), field|
      wanted = cells.values.map { |value| value.nil? ? nil : meant.fetch(type).call(value) }
      expect([name, stored.first(cells.length).map { |row| row[field.key] }]).to eq([name, wanted])
    end
  end

  it "refuses in a field of another unit, and rounds only where somebody says so" do
    change(:AddTable, label: "Amounts")
    change(:AddField, table: "amounts", parts: {"label" => "Amount", "type" => "number", "format" => {"after" => " €"}})
    upload = UpTack::UseCases::Imports::Uploads.new(person).add(
      StringIO.new("Name,Amount\na,5 €\nb,3 €\nc,12a\nd,0.12345678901234567\n"), "amounts.csv"
    )
    bring = ->(columns) do
      UpTack::UseCases::Imports::ImportUpload.new(workspace).call(
        table: "amounts", upload: upload, options: {}, overrides: {"columns" => columns}, keep: "none"
      ).report.refused.map(&:place)
    end
    expect(bring.call([])).to eq([4, 5])
    expect(bring.call([{"column" => "Amount", "round" => true}])).to eq([4])
  end
end
