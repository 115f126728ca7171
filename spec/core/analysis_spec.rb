# frozen_string_literal: true

require "core_helper"

RSpec.describe "The order of rules that set fields" do
  # A rule as the order sees it.
  fake = Struct.new(:name, :writes, :needs) { def reads(_table) = needs }

  def order(*rules) = Core::Analysis::TopologicalSort.of_rules(rules, table(field("any")))

  it "puts each after those that write what it reads, whatever the order in which they are listed" do
    a = fake.new("a", ["a"], [])
    b = fake.new("b", ["b"], ["a"])
    c = fake.new("c", ["c"], %w[a b])
    d = fake.new("d", ["d"], ["c"])
    [a, b, c, d].permutation.each do |rules|
      expect(order(*rules).sorted.map(&:name)).to eq(%w[a b c d])
      expect(order(*rules).circle).to be_nil
    end
  end

  it "keeps the listed order where nothing waits, so that it never depends on chance" do
    rules = %w[x m b z].map { |name| fake.new(name, [name], []) }
    expect(order(*rules).sorted.map(&:name)).to eq(%w[x m b z])
  end

  it "names the members of a circle, and nobody else" do
    a = fake.new("a", ["a"], ["c"])
    b = fake.new("b", ["b"], ["a"])
    c = fake.new("c", ["c"], ["b"])
    after = fake.new("after", ["after"], ["a"])
    free = fake.new("free", ["free"], [])
    found = order(after, free, a, b, c)
    expect(found.circle.map(&:name)).to match_array(%w[a b c])
    expect(found.sorted.map(&:name)).to eq(["free"])
  end

  it "knows a rule that waits for itself" do
    expect(order(fake.new("a", ["a"], ["a"])).circle.map(&:name)).to eq(["a"])
  end
end
