# frozen_string_literal: true

require "core_helper"

# Days of all years from 1 to 9999 are those of ISO 8601: the Gregorian calendar, also before it
# was introduced. The reference counts them with whole numbers alone.
RSpec.describe "Days of all years" do
  random = Random.new(RSpec.configuration.seed)
  lengths = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31]
  leap = ->(year) { (year % 4).zero? && (!(year % 100).zero? || (year % 400).zero?) }
  length = ->(year, month) { (month == 2 && leap.call(year)) ? 29 : lengths[month - 1] }
  # Days since 1 January of the year 1, which was a Monday.
  number =
    lambda do |year, month, day|
      before = year - 1
      (before * 365) + (before / 4) - (before / 100) + (before / 400) +
        (1...month).sum { |each| length.call(year, each) } + day - 1
    end
  any = ->(last) do
    random
      .rand(1..last)
      .then { |year| random.rand(1..12).then { |month| [year, month, random.rand(1..length.call(year, month))] } }
  end
  iso = ->(parts) { format("%04d-%02d-%02d", *parts) }

  it "are as far apart as they are, and fall on their weekdays" do
    1_000.times do
      one, other = any.call(9_999), any.call(1_700)
      days = number.call(*one) - number.call(*other)
      expect(value_of("date(\"#{iso.call(one)}\") - date(\"#{iso.call(other)}\")")).to eq(days.to_s)
      expect(value_of("date(\"#{iso.call(other)}\") + #{days}")).to eq(iso.call(one))
      expect(value_of("weekday(date(\"#{iso.call(other)}\"), 3)")).to eq((number.call(*other) % 7).to_s)
    end
  end

  it "are read, shown and kept as they were typed" do
    date = Core::Values["date"]
    field = Core::Design::Field.new(key: "day", label: "Day", type: "date")
    reading = Core::ParseContext.new(conventions: Core::Conventions.from({}), today: CoreHelp::TODAY)
    [
      [1, 1, 1],
      [1500, 2, 28],
      [1582, 10, 4],
      [1582, 10, 10],
      [1582, 10, 15],
      [9999, 12, 31],
      *Array.new(200) { any.call(1_700) }
    ].each do |parts|
      read = date.read(iso.call(parts), field, reading)
      expect([read.year, read.month, read.day]).to eq(parts)
      expect(date.dump(date.load(date.dump(read)))).to eq(iso.call(parts))
      expect(date.read(date.edit(read, field), field, reading)).to eq(read)
    end
    expect(date.read("1500-02-29", field, reading).message).to eq("29 February 1500 is not a valid date.")
  end

  # Zones without letters for their names: the Azores, and Tehran while it had summer time.
  {
    "Atlantic/Azores" => Time.utc(2026, 10, 25, 0, 30),
    "Asia/Tehran" => Time.utc(2022, 9, 21, 19, 15),
    "Europe/Dublin" => Time.utc(2026, 10, 25, 0, 30),
    "America/Sao_Paulo" => Time.utc(2019, 2, 17, 1, 30)
  }.each do |zone, at|
    it "are read as they are shown in the hour that comes twice: #{zone}" do
      conventions = Core::Conventions.from({"time_zone" => zone})
      field = Core::Design::Field.new(key: "at", label: "At", type: "moment", conventions: conventions)
      reading = Core::ParseContext.new(conventions: conventions, today: CoreHelp::TODAY)
      both = [at, at + 3600]
      expect(both.map { |moment| Core::Values["moment"].edit(moment, field)[/.*\d\d:\d\d/] }.uniq.length).to eq(1)
      expect(
        both.map { |moment| Core::Values["moment"].read(Core::Values["moment"].edit(moment, field), field, reading) }
      ).to eq(both)
    end
  end
end
