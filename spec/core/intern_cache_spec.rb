# frozen_string_literal: true

require "core_helper"

RSpec.describe "What is alike" do
  # How often something was made for keys, one after the other.
  def made(keys, **how)
    times = 0
    alike = Core::InternCache.new(**how)
    found = keys.map { |key| alike.one(key) { |given| (times += 1) && given.to_s * 2 } }
    expect(found).to eq(keys.map { |key| key.to_s * 2 })
    times
  end

  {
    "is made once" => [%w[a b a a b], {}, 2],
    "is made anew where it must be the very same and is not" => [[+"a", +"a", :a, :a], {very: true}, 3],
    "is told apart by its type" => [[BigDecimal(1), 1, BigDecimal("1.0")], {}, 2],
    "is not remembered where it is long" => [["x" * 300] * 4, {}, 4],
    "is forgotten once there are many" => [[*1..999, *1..999, *2_000..2_100, 1], {}, 1_101],
    "is no longer looked for where hardly any are alike" => [[*1..1_002, 1_002, 1_002], {}, 1_004]
  }.each do |what, (keys, how, times)|
    it(what) { expect(made(keys, **how)).to eq(times) }
  end

  it "is the same object for all, where nothing is made of it" do
    alike = Core::InternCache.new
    first, other = ["a", nil].dup, ["a", nil].dup
    expect(alike.one(first)).to equal(alike.one(other))
  end

  it "is read anew on another day" do
    readings = Core::Save::ParseCache.new
    table = studio({"pieces" => []}).table("pieces")
    due = Core::Design::Field.from({"id" => "f900", "key" => "due", "label" => "Due", "type" => "date"})
    on = ->(day) { Core::ParseContext.new(conventions: Core::Conventions.from({}), today: day) }
    this_year, next_year = on.call(Date.new(2026, 12, 31)), on.call(Date.new(2027, 1, 1))
    read = ->(reading) { readings.read(due, "5 March", reading) }
    expect([this_year, this_year, next_year].map(&read)).to eq(
      [Date.new(2026, 3, 5), Date.new(2026, 3, 5), Date.new(2027, 3, 5)]
    )
    refused = Array.new(2) { readings.read(table.field("weight"), "heavy", this_year) }
    expect(refused).to all(be_a(Core::Values::Unreadable))
  end
end
