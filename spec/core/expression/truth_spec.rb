# frozen_string_literal: true

require "core_helper"

# The truth tables of SQL (ISO/IEC 9075, 6.39), whole.
RSpec.describe "Expressions: three-valued logic" do
  {
    "yes and yes" => true,
    "yes and no" => false,
    "yes and blank" => nil,
    "no and yes" => false,
    "no and no" => false,
    "no and blank" => false,
    "blank and yes" => nil,
    "blank and no" => false,
    "blank and blank" => nil,
    "yes or yes" => true,
    "yes or no" => true,
    "yes or blank" => true,
    "no or yes" => true,
    "no or no" => false,
    "no or blank" => nil,
    "blank or yes" => true,
    "blank or no" => nil,
    "blank or blank" => nil,
    "not yes" => false,
    "not no" => true,
    "not blank" => nil
  }.each do |text, wanted|
    it("gives #{wanted.inspect} for `#{text}`") { expect(value_of(text)).to be(wanted) }
  end

  it "keeps to De Morgan's laws for all three values" do
    %w[yes no blank].product(%w[yes no blank]).each do |a, b|
      expect(value_of("not (#{a} and #{b})")).to be(value_of("not #{a} or not #{b}"))
      expect(value_of("not (#{a} or #{b})")).to be(value_of("not #{a} and not #{b}"))
    end
  end

  it "asks the second condition only when the first has not decided" do
    evaluation = Core::Expression::Evaluation.new(values: {}, context: context)
    formula = ->(text) { Core::Expression.compile(text, Core::Expression::Scope.new([])).call(evaluation) }
    expect(formula.call("no and 1 / 0 > 1")).to be(false)
    expect(formula.call("yes or 1 / 0 > 1")).to be(true)
    expect(formula.call("if yes then 1 else 1 / 0")).to eq(1)
    expect(evaluation.notes).to be_empty
  end
end
