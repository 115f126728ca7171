# frozen_string_literal: true

require "core_helper"

# One value made of many linked records, held against the same of a plain list: in whatever order
# the records come, wherever the extreme stands, with blanks among them and with none at all.
RSpec.describe "One value of many records" do
  random = Random.new(RSpec.configuration.seed)

  def folded(formula, weights, tags)
    pieces =
      weights
        .zip(tags)
        .each_with_index
        .to_h { |(weight, tag), index| [index + 1, {"maker" => 4, "weight" => weight, "tag" => tag}] }
    records =
      Core::Ports::HeldRecords.new(
        {
          "members" => {4 => {"name" => "Ansa Velt"}},
          "pieces" => pieces.to_a.shuffle(random: Random.new(weights.length)).to_h
        }
      )
    scope = studio.table("members").scope
    Core::Expression.compile(formula, scope).call(
      Core::Expression::Evaluation.new(values: {"name" => "Ansa Velt"}, context: context(records: records), id: 4)
    )
  end

  def texts_in_order(tags) = tags.compact.sort_by(&:downcase)

  it "is what a list comes to" do
    400.times do
      count = random.rand(0..6)
      weights = Array.new(count) { (random.rand < 0.2) ? nil : BigDecimal(random.rand(-5..5)) }
      tags = Array.new(count) { (random.rand < 0.2) ? nil : %w[a B c D e f].sample(random: random) }
      there = weights.compact
      {
        "min(pieces.maker.weight)" => there.min,
        "max(pieces.maker.weight)" => there.max,
        "sum(pieces.maker.weight)" => there.sum(BigDecimal(0)),
        "count(pieces.maker)" => BigDecimal(count),
        "count(pieces.maker where weight > 0)" => BigDecimal(there.count(&:positive?)),
        "max(pieces.maker.weight where weight < 3)" => there.select { |each| each < 3 }.max,
        "min(pieces.maker.weight where weight > -3)" => there.select { |each| each > -3 }.min,
        "average(pieces.maker.weight) * #{[there.length, 1].max}" => there.empty? ? nil : there.sum(BigDecimal(0)),
        "min(pieces.maker.tag)" => texts_in_order(tags).first,
        "max(pieces.maker.tag)" => texts_in_order(tags).last
      }.each do |formula, wanted|
        expect(folded(formula, weights, tags)).to eq(wanted), "#{formula} of #{weights.map(&:to_s)} #{tags}"
      end
    end
  end

  it "joins what is there, whatever stands between" do
    expect(folded('join(pieces.maker.tag, "")', [nil, nil], %w[a b]).chars).to match_array(%w[a b])
    expect(folded('join(pieces.maker.tag, ", ")', [nil], [nil])).to be_nil
  end

  it "is the same of several values in one formula" do
    500.times do
      values = Array.new(random.rand(1..6)) { (random.rand < 0.2) ? nil : random.rand(-9..9) }
      shown = values.map { |value| value || "blank" }.join(", ")
      expect(value_of("max(#{shown}, blank)")).to eq(values.compact.max&.to_s)
      expect(value_of("min(#{shown}, blank)")).to eq(values.compact.min&.to_s)
    end
  end
end
