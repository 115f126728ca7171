# frozen_string_literal: true

require "core_helper"

RSpec.describe Core::Numbers do
  it "writes plain digits without padding" do
    {
      "0" => "0",
      "-0" => "0",
      "12" => "12",
      "12.50" => "12.5",
      "100" => "100",
      "0.001" => "0.001",
      "-0.5" => "-0.5",
      "1e3" => "1000",
      "1e-7" => "0.0000001",
      "123456789012345" => "123456789012345"
    }.each { |text, wanted| expect(described_class.digits(number(text))).to eq(wanted) }
  end

  it "keeps fifteen digits, rounded half away from zero, and refuses what is larger" do
    {
      "0.1234567890123449" => "0.123456789012345",
      "0.1234567890123455" => "0.123456789012346",
      "-0.1234567890123455" => "-0.123456789012346",
      "12345678901234.55" => "12345678901234.6",
      "999999999999999" => "999999999999999"
    }.each { |text, wanted| expect(described_class.digits(described_class.normalize(number(text)))).to eq(wanted) }
    expect { described_class.normalize(number("1e15")) }.to raise_error(described_class::TooLarge)
  end

  it "raises to powers within bounds, quickly" do
    {
      %w[2 10] => "1024",
      %w[2 -2] => "0.25",
      %w[0 5] => "0",
      %w[0 0] => "1",
      %w[-3 3] => "-27",
      %w[9 0.5] => "3",
      %w[10 -30] => "0.000000000000000000000000000001"
    }.each do |(base, exponent), wanted|
      expect(described_class.digits(described_class.power(number(base), number(exponent)))).to eq(wanted)
    end
    expect(described_class.power(number("-4"), number("0.5"))).to be_nil
    expect(described_class.power(number("0"), number("-1"))).to be_nil
    [%w[10 100], %w[2 999999999999], %w[1.5 100000]].each do |base, exponent|
      expect { described_class.power(number(base), number(exponent)) }.to raise_error(described_class::TooLarge)
    end
  end

  it "carries enough digits that a third times three is one" do
    third = described_class.divide(number("1"), number("3"))
    expect(described_class.normalize(described_class.multiply(third, number("3")))).to eq(1)
  end

  it "lets what is far too small come to nothing" do
    tiny = 8.times.inject(number("1e-8")) { |value| described_class.multiply(value, number("1e-8")) }
    expect(tiny).to eq(0)
  end
end
