# frozen_string_literal: true

require "core_helper"

RSpec.describe "Values: what is typed, kept and shown" do
  def read(type, raw, conventions: {}, **parts)
    design = Core::Design::Field.from(field("amount", type, **parts))
    design.read(raw, Core::ParseContext.new(conventions: Core::Conventions.from(conventions), today: CoreHelp::TODAY))
  end

  def dumped(...)
    value = read(...)
    value.is_a?(Core::Values::Unreadable) ? value.message : Core::Values.dump(value)
  end

  it "reads numbers, exactly or not at all" do
    {
      "12" => "12",
      " 1 200.50 " => "1200.5",
      "1,200" => "1200",
      "-3" => "-3",
      "−3" => "-3",
      "+4" => "4",
      "5." => "5",
      ".5" => "0.5",
      "123456789012345" => "123456789012345",
      "0.000000000000001" => "0.000000000000001",
      "" => nil,
      "   " => nil,
      nil => nil,
      7 => "7",
      BigDecimal("0.10") => "0.1",
      "1,5" => "“1,5” is ambiguous: type 1.5 or 15.",
      "1,20,000" => "“1,20,000” is not a number.",
      "12x" => "“12x” is not a number.",
      "1e5" => "“1e5” is not a number.",
      "1" * 40 => "Amount can have up to 15 digits; this number has more.",
      BigDecimal("1e400") => "Amount can have up to 15 digits; this number has more.",
      BigDecimal("NaN") => "Amount must be a number.",
      true => "“yes” is not a number.",
      [1] => "Amount takes one value, not a list or an object.",
      {"a" => 1} => "Amount takes one value, not a list or an object."
    }.each { |raw, wanted| expect([raw, dumped("number", raw)]).to eq([raw, wanted]) }
  end

  it "reads numbers by the firm's marks" do
    german = {"decimal_mark" => ",", "group_mark" => "."}
    expect(dumped("number", "1.200,50", conventions: german)).to eq("1200.5")
    expect(dumped("number", "1.5", conventions: german)).to eq(
      "“1.5” is ambiguous: type 1,5 or 15."
    )
  end

  it "takes no more decimals than the field does, and shows as many" do
    expect(dumped("number", "2.345", decimals: 2)).to eq("Amount takes at most 2 decimals.")
    expect(dumped("number", "2.5", decimals: 0)).to eq("Amount takes whole numbers.")
    expect(dumped("number", "2.50", decimals: 1)).to eq("2.5")
    expect(Core::Design::Field.from(field("amount", "number", decimals: 2)).show(number("2.5"))).to eq("2.50")
    expect(Core::Design::Field.from(field("amount", "number", decimals: 2)).show(number("40"))).to eq("40.00")
  end

  it "reads dates as people write them" do
    {
      "2026-11-23" => "2026-11-23",
      "23/11/2026" => "2026-11-23",
      "23.11.26" => "2026-11-23",
      "3-1-70" => "1970-01-03",
      "1/2/69" => "2069-02-01",
      "23 Nov 2026" => "2026-11-23",
      "23 november" => "2026-11-23",
      "23. nov 26" => "2026-11-23",
      "Nov 23, 2026" => "2026-11-23",
      "23nov2026" => "2026-11-23",
      "29/2/2028" => "2028-02-29",
      "" => nil,
      Date.new(2026, 1, 2) => "2026-01-02",
      "31 February" => "31 February 2026 is not a valid date.",
      "29/2/2026" => "29 February 2026 is not a valid date.",
      "1/13/2026" => "There is no month 13.",
      "0/1/2026" => "0 January 2026 is not a valid date.",
      "2026-00-10" => "There is no month 0.",
      "soon" => "“soon” is not a date. Type it like 23 Nov 2026.",
      "1/2/345" => "“1/2/345” is not a date. Type it like 23 Nov 2026.",
      "23 xyz" => "“23 xyz” is not a date. Type it like 23 Nov 2026.",
      true => "“yes” is not a date. Type it like 23 Nov 2026."
    }.each { |raw, wanted| expect([raw, dumped("date", raw)]).to eq([raw, wanted]) }
    expect(dumped("date", "11/23/2026", conventions: {"date_order" => "mdy"})).to eq("2026-11-23")
  end

  it "shows dates for reading" do
    expect(Core::Values::Date.show(Date.new(2026, 5, 3), nil)).to eq("3 May 2026")
    expect(Core::Values::Date.show(Date.new(33, 4, 3), nil)).to eq("3 Apr 0033")
  end

  it "reads yes and no, and choices without regard to case" do
    {
      "yes" => true,
      "N" => false,
      "TRUE" => true,
      false => false,
      "" => nil,
      "perhaps" => "Amount must be yes or no, not “perhaps”."
    }.each { |raw, wanted| expect(dumped("yes_no", raw)).to eq(wanted) }
    {" glaze " => "Glaze", "" => nil, "Raku" => "“Raku” is not one of the choices: Bisque, Glaze."}
      .each { |raw, wanted| expect(dumped("choice", raw, choices: %w[Bisque Glaze])).to eq(wanted) }
  end

  it "keeps odd texts exactly, or says why not" do
    odd = [
      "<script>alert(1)</script>",
      "Robert'); DROP TABLE pieces;--",
      "👨‍👩‍👧 family",
      "\u202Eright to left\u202C",
      "a\tb",
      "  two  spaces ",
      "naïve",
      "\uFEFFmark"
    ]
    odd.each { |text| expect(dumped("text", text)).to eq(text) }
    expect(dumped("text", "ne\u0301e")).to eq("née")
    {
      "a\u0000b" => "Amount contains an invalid character (NUL) at position 2. Remove it.",
      "two\nlines" => "Amount takes a single line. Remove the line breaks.",
      "x" * 4_001 => "Amount can have up to 4,000 characters; this has 4,001.",
      "\xff" => "Amount contains characters that are not valid Unicode. Remove them.",
      "   " => nil
    }.each { |raw, wanted| expect(dumped("text", raw)).to eq(wanted) }
    expect(dumped("long_text", "two\r\nlines")).to eq("two\r\nlines")
    expect(dumped("long_text", "x" * 1_048_576)&.length).to eq(1_048_576)
    expect(dumped("long_text", "x" * 1_100_001)).to start_with("Amount can have up to 1,100,000 characters")
  end

  it "comes back from JSON unchanged, for every type" do
    {
      "number" => number("0.1"),
      "date" => CoreHelp::TODAY,
      "yes_no" => false,
      "text" => "x",
      "long_text" => "x\ny",
      "choice" => "Glaze"
    }.each do |type, value|
      kind = Core::Values[type]
      expect(kind.load(kind.dump(value))).to eq(value)
      expect(kind.load(kind.dump(nil))).to be_nil
    end
  end
end
