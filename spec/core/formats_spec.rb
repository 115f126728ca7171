# frozen_string_literal: true

require "core_helper"

RSpec.describe "Reading formats" do
  def shown(type, value, format, conventions: {}, **parts)
    field =
      Core::Design::Field.from(
        {"label" => "Amount", "type" => type, "format" => format}.merge(parts.transform_keys(&:to_s)),
        conventions: Core::Conventions.from(conventions)
      )
    [field.show(value), field.edit(value)]
  end

  def read(type, text, format = {}, conventions: {}, **parts)
    conventions = Core::Conventions.from(conventions)
    field =
      Core::Design::Field.from(
        {"label" => "Amount", "type" => type, "format" => format}.merge(parts.transform_keys(&:to_s)),
        conventions: conventions
      )
    value = field.read(text, Core::ParseContext.new(conventions: conventions, today: CoreHelp::TODAY))
    value.is_a?(Core::Values::Unreadable) ? value.message : Core::Values.dump(value)
  end

  it "show numbers with thousands, units and the firm's marks, and plainly to whoever types" do
    european = {"decimal_mark" => ",", "group_mark" => " "}
    expect(shown("number", number("1200.5"), {"group" => true, "after" => " g"}, decimals: 2)).to eq(
      ["1,200.50 g", "1200.50"]
    )
    expect(shown("number", number("-1200.5"), {"group" => true, "before" => "€"}, conventions: european)).to eq(
      ["-€1 200,5", "-1200,5"]
    )
    expect(shown("number", number("999"), {"group" => true})).to eq(%w[999 999])
  end

  it "show days, times and moments by CLDR patterns" do
    expect(shown("date", Date.new(2026, 3, 5), {"pattern" => "EEEE d MMMM ''yy"})).to eq(
      ["Thursday 5 March '26", "5 Mar 2026"]
    )
    expect(shown("time", Core::DayTime.at(0, 5), {"pattern" => "h:mm a"})).to eq(["12:05 am", "00:05"])
    expect(
      shown(
        "moment",
        Time.utc(2026, 7, 1, 9, 5),
        {"pattern" => "EEE H:mm"},
        conventions: {"time_zone" => "Europe/Dublin"}
      )
    ).to eq(["Wed 10:05", "1 Jul 2026, 10:05"])
    expect(shown("yes_no", true, {"yes" => "Glazed"})).to eq(%w[Glazed Glazed])
  end

  {
    %w[number 1,200.50] => "1200.5",
    ["number", "1 200"] => "1200",
    ["number", "12 g", {"after" => " g"}] => "12",
    ["number", "-€ 5", {"before" => "€"}] => "-5",
    %w[number 1,5] => "“1,5” is ambiguous: type 1.5 or 15.",
    ["number", "1 2"] => "“1 2” is not a valid number here. Did you mean 12?",
    %w[number 1.200,50] => "“1.200,50” is not a valid number here. Did you mean 1200.50?",
    %w[number 1,2,3] => "“1,2,3” is not a number.",
    %w[date +3] => "2026-11-26",
    %w[date -1] => "2026-11-22",
    %w[date tomorrow] => "2026-11-24",
    %w[date 23/11] => "2026-11-23",
    ["date", "Mon 23 nov"] => "2026-11-23",
    ["date", "23rd nov"] => "2026-11-23",
    ["date", "3 ma"] => "“3 ma” is ambiguous: type 3 Mar 2026 or 3 May 2026.",
    ["date", "31 j"] => "“31 j” is ambiguous: type 31 Jan 2026 or 31 Jul 2026.",
    %w[date 26-11-23] => "“26-11-23” is ambiguous: type 26 Nov 2023 or 23 Nov 2026.",
    %w[date 23-11-26] => "“23-11-26” is ambiguous: type 23 Nov 2026 or 26 Nov 2023.",
    ["date", "11/12/2026", {"pattern" => "MM/dd/yyyy"}] => "2026-11-12",
    %w[date +9999999] => "“+9999999” is not a date. Type it like 23 Nov 2026.",
    ["time", "9.05 pm"] => "21:05:00",
    %w[time 12am] => "00:00:00",
    %w[time 9h30] => "09:30:00",
    ["time", "13 pm"] => "“13 pm” is not a time. Type it like 9:30.",
    ["yes_no", "raw", {"yes" => "Glazed", "no" => "Raw"}] => false,
    ["yes_no", "y", {"yes" => "Glazed"}] => true,
    ["yes_no", "maybe", {"yes" => "Glazed"}] => "Amount must be glazed or no, not “maybe”.",
    ["moment", "23 nov 9:30"] => "2026-11-23T09:30:00Z",
    ["moment", "23 nov"] => "Add a time to “23 nov”, for example 23 Nov 2026, 9:30.",
    %w[moment 2026-07-01T10:00:00+02:00] => "2026-07-01T08:00:00Z"
  }.each do |(type, text, format), wanted|
    it("read #{type} #{text.inspect}") { expect(read(type, text, format || {})).to eq(wanted) }
  end

  it "read the hours at which clocks change, or say what is to be said" do
    dublin = {"time_zone" => "Europe/Dublin"}
    expect(read("moment", "29 mar 2026 1:30", conventions: dublin)).to include("because the clocks go forward")
    expect(read("moment", "25 oct 2026 1:30", conventions: dublin)).to include("Type 01:30 IST or 01:30 GMT")
    expect(%w[IST GMT].map { |zone| read("moment", "25 oct 2026 1:30 #{zone}", conventions: dublin) }).to eq(
      %w[2026-10-25T00:30:00Z 2026-10-25T01:30:00Z]
    )
  end

  it "are refused where they mean nothing" do
    {
      ["date", {"pattern" => "d QX"}] => "has no meaning",
      ["date", {"pattern" => "d 'x"}] => "no closing",
      ["date", {"pattern" => "--"}] => "needs a letter",
      ["number", {"after" => "x" * 21}] => "up to 20 characters",
      ["yes_no", {"yes" => "No"}] => "must be different",
      ["number", {"group" => "very"}] => "on or off",
      %w[date dd] => "object of settings"
    }.each do |(type, format), message|
      expect { table(field("when", type, format: format)) }.to raise_error(Core::Invalid, /#{message}/)
    end
  end

  describe "what is shown to whoever types" do
    marks = [
      {},
      {"decimal_mark" => ",", "group_mark" => "."},
      {"decimal_mark" => ",", "group_mark" => " ", "date_order" => "ymd"},
      {"date_order" => "mdy", "time_zone" => "Europe/Dublin"}
    ]

    def again(type, value, format, marks, **parts)
      conventions = Core::Conventions.from(marks)
      field =
        Core::Design::Field.from(
          {"label" => "Amount", "type" => type, "format" => format}.merge(parts.transform_keys(&:to_s)),
          conventions: conventions
        )
      reading = Core::ParseContext.new(conventions: conventions, today: CoreHelp::TODAY)
      [field.edit(value), field.show(value)].map { |text| field.read(text, reading) }
    end

    it "reads back as the same number, with unit and thousands too" do
      random = Random.new(RSpec.configuration.seed)
      200.times do
        value = BigDecimal(random.rand(-10**9..10**9)) / (10**random.rand(0..4))
        marks.each do |each|
          expect(again("number", value, {"group" => true, "before" => "€ ", "after" => " kg"}, each)).to eq(
            [value, value]
          )
        end
      end
    end

    it "reads back as the same day, month by month, in every order" do
      (Date.new(2025, 12, 28)..Date.new(2027, 3, 2)).each do |day|
        marks.each { |each| expect(again("date", day, {"pattern" => "dd/MM/yyyy"}, each)).to eq([day, day]) }
        expect(again("date", day, {"pattern" => "EEE d MMM yyyy"}, marks.first)).to eq([day, day])
      end
    end

    it "reads back as the same moment, hour by hour over both changes of the clocks" do
      dublin = {"time_zone" => "Europe/Dublin"}
      [Time.utc(2026, 3, 28, 22), Time.utc(2026, 10, 24, 22)].each do |start|
        (0..8).each do |half_hours|
          at = start + (half_hours * 1800)
          expect(again("moment", at, {}, dublin).first).to eq(at)
        end
      end
    end

    it "reads back as the same time, on both halves of the clock" do
      (0...1440).step(7) do |minute|
        Core::DayTime
          .at(minute / 60, minute % 60)
          .then { |time| expect(again("time", time, {"pattern" => "h:mm a"}, {})).to eq([time, time]) }
      end
    end
  end
end
