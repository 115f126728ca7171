# frozen_string_literal: true

require "core_helper"

# Arithmetic held against fractions of whole numbers, which are exact, and rounding against whole
# numbers. A result is what the fraction is to 15 significant digits, however small it is.
RSpec.describe "Exact numbers" do
  random = Random.new(RSpec.configuration.seed)

  # @return [Rational] to so many significant digits, a half away from zero
  def to_digits(fraction, digits)
    return fraction if fraction.zero?

    exponent = 0
    exponent += 1 while fraction.abs >= Rational(10)**exponent
    exponent -= 1 while fraction.abs < Rational(10)**(exponent - 1)
    at_places(fraction, digits - exponent, :half)
  end

  # @return [Rational] to so many decimals
  def at_places(fraction, places, mode)
    unit = Rational(10)**places
    size = fraction.abs * unit
    whole = {half: (size + Rational(1, 2)).floor, up: size.ceil, down: size.floor}.fetch(mode)
    (fraction.negative? ? -whole : whole) / unit
  end

  # @return [Array(String, Rational)] a formula with what it comes to
  def sum(random, depth)
    if depth.zero?
      text = format(["%d", "%.1f", "%.3f", "%.7f"].sample(random: random), random.rand(0.0..1000.0))
      return [text, Rational(text)]
    end

    left, right = sum(random, depth - 1), sum(random, random.rand(depth))
    sign = %w[+ - * /].sample(random: random)
    return sum(random, depth) if sign == "/" && right.last.zero?

    ["(#{left.first} #{sign} #{right.first})", left.last.public_send(sign, right.last)]
  end

  it "are those of fractions, to 15 significant digits" do
    2_000.times do
      text, fraction = sum(random, random.rand(1..4))
      next if fraction.abs >= 10**15

      expect(Rational(value_of(text))).to eq(to_digits(fraction, 15)), text
    end
  end

  it "do not end in blank where they are small and have no end" do
    (3..400).each { |divisor| expect(Rational(value_of("1 / #{divisor}"))).to eq(to_digits(Rational(1, divisor), 15)) }
    expect(value_of("1 / 3 * 3 - 1")).to eq("0")
    expect(value_of("(0.1 + 0.2) * 10 - 3")).to eq("0")
  end

  it "are rounded to any place, in every direction" do
    3_000.times do
      digits = random.rand(1..15)
      number = Rational(random.rand(0...10**digits) * [1, -1].sample(random: random)) / 10**random.rand(0..14)
      places = random.rand(-4..14)
      text = number.zero? ? "0" : format("%.14f", number)
      exact = Rational(text)
      {"round" => :half, "roundup" => :up, "rounddown" => :down}.each do |name, mode|
        expect(Rational(value_of("#{name}(#{text}, #{places})"))).to eq(
          to_digits(at_places(exact, places, mode), 15)
        ),
          "#{name}(#{text}, #{places})"
      end
    end
  end

  it "are raised from the left, and a sign belongs to its own exponent" do
    {
      "2 ^ -1 ^ 2" => "0.25",
      "2 ^ 3 ^ 2" => "64",
      "2 ^ -(1 + 1) ^ 2" => "0.0625",
      "-2 ^ 2" => "-4",
      "2 ^ +1 ^ 3" => "8"
    }.each { |text, wanted| expect(value_of(text)).to eq(wanted), text }
  end
end
