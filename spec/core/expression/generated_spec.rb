# frozen_string_literal: true

require "core_helper"

# Properties checked on generated formulas, against plain Ruby that knows nothing
# of the compiler. The seed is fixed, so a failure can be seen again.
RSpec.describe "Expressions: properties on generated cases" do
  let(:random) { Random.new(42) }

  def decimal = BigDecimal(random.rand(-9_999..9_999)) / 100

  # A random sum as text and, worked out apart, as a rational number.
  def sum(depth)
    if depth.zero?
      number = decimal
      return [number.negative? ? "(#{number.to_s("F")})" : number.to_s("F"), number.to_r]
    end

    left, left_value = sum(depth - 1)
    right, right_value = sum(random.rand(0..depth - 1))
    sign = %w[+ - *].sample(random: random)
    ["(#{left} #{sign} #{right})", left_value.public_send(sign, right_value)]
  end

  it "adds, subtracts and multiplies exactly, as rational numbers do" do
    300.times do
      text, wanted = sum(random.rand(1..3))
      next if wanted.abs >= 10**15

      kept = BigDecimal(value_of(text))
      expect((kept.to_r - wanted).abs).to be <= [wanted.abs / 10**14, Rational(0)].max, text
    end
  end

  it "divides so that multiplying gives the number back" do
    200.times do
      number, divisor = decimal, decimal
      next if divisor.zero?

      values = {"n" => number, "d" => divisor}
      expect(value_of("n / d * d = n", values)).to be(true), values.inspect
    end
  end

  it "splits a number into quotient and remainder of the divisor's sign" do
    200.times do
      values = {"n" => decimal, "d" => decimal}
      next if values["d"].zero?

      expect(value_of("floor(n / d) * d + n mod d = n", values)).to be(true), values.inspect
      expect(value_of("n mod d = 0 or (n mod d > 0) = (d > 0)", values)).to be(true), values.inspect
    end
  end

  it "orders any two values one way, and both ways alike" do
    pools = [
      Array.new(20) { decimal },
      %w[kiln Kiln KILN Äpfel apfel straße STRASSE shelf] + [""],
      Array.new(20) { Date.new(2026, 1, 1) + random.rand(0..900) }
    ]
    pools.each do |pool|
      pool.product(pool).each do |a, b|
        values = {"a" => a, "b" => b}
        ways = ["a < b", "a = b", "a > b"].map { |text| value_of(text, values) }
        expect(ways.count(true)).to eq(1), values.inspect
        expect(value_of("b > a", values)).to be(ways[0])
        expect(value_of("a <= b", values)).to be(ways[0] || ways[1])
        expect(value_of("a between b and b", values)).to be(ways[1])
      end
    end
  end

  it "moves dates by days as the calendar does, there and back" do
    200.times do
      day = Date.new(1900, 1, 1) + random.rand(0..80_000)
      days = random.rand(-40_000..40_000)
      values = {"day" => day, "n" => BigDecimal(days)}
      expect(value_of("day + n", values)).to eq((day + days).iso8601)
      expect(value_of("day + n - n = day and (day + n) - day = n", values)).to be(true)
      months = random.rand(-50..50)
      expect(value_of("edate(day, #{months})", values)).to eq((day >> months).iso8601)
    end
  end

  it "cuts texts so that the parts make the whole again" do
    pool = ["kiln", "né\u0301e", "👨‍👩‍👧 family", "", "a b  c", "日本語のテキスト", "\u{1F1EE}\u{1F1EA} flag"]
    pool.each do |text|
      (0..text.length + 1).each do |place|
        values = {"t" => text, "n" => BigDecimal(place)}
        next if place > text.grapheme_clusters.length

        expect(value_of("left(t, n) & right(t, len(t) - n)", values).to_s).to eq(text), [text, place].inspect
        expect(value_of("len(left(t, n)) = n", values)).to be(place.zero? ? nil : true)
      end
    end
  end

  it "gives every node a place inside its parent's, in the order of the text" do
    text = "if clay + 2 * -tare between 1 and (wet ^ 2) then upper(left(maker, 3)) & \"-\" else " \
      "old.tag & coalesce(note, user.name) & if stage in (\"a\", \"b\") then 1 else 2"
    tree = Core::Expression.parse(text)
    expect([tree.from, tree.to]).to eq([0, text.length])
    tree.walk do |node|
      expect(node.to).to be > node.from
      node.children.each do |child|
        expect(child.from).to be_between(node.from, node.to)
        expect(child.to).to be_between(child.from, node.to)
      end
      expect(node.children.map(&:from)).to eq(node.children.map(&:from).sort)
    end
  end
end
