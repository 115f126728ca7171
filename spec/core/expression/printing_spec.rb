# frozen_string_literal: true

require "core_helper"
require "support/reference_interpreter"
require "support/random_formula"

# Properties on generated formulas; the seed is fixed, so a failure can be seen again.
RSpec.describe "Expressions, printed and compiled" do
  let(:random) { Random.new(2_611) }

  # A tree without its places.
  def shape(node)
    parts = node.instance_variables.sort - %i[@from @to]
    [node.class, parts.map { |name| bare(node.instance_variable_get(name)) }]
  end

  def bare(value)
    case value
    when Core::Expression::Nodes::Node then shape(value)
    when Core::Expression::Nodes::Segment then value.key
    when Array then value.map { |each| bare(each) }
    else value
    end
  end

  it "prints every formula so that it is parsed to the same tree again" do
    600.times do
      text = RandomFormula.new(random).any(4)
      tree = Core::Expression.parse(text)
      printed = Core::Expression::Printer.new.print(tree)
      expect(shape(Core::Expression.parse(printed))).to eq(shape(tree)), "#{text}\n#{printed}"
      expect(Core::Expression::Printer.new.print(Core::Expression.parse(printed))).to eq(printed)
    end
  end

  it "gives what a plain walk over the tree gives" do
    values = {
      "a" => number("1.5"),
      "b" => number("-3"),
      "none" => nil,
      "t" => "Kiln",
      "u" => "kiln 2",
      "d" => Date.new(2026, 11, 23),
      "y" => true
    }
    scope = Core::Expression::Scope.of_values(values)
    results = Array.new(600) do
      text = RandomFormula.new(random).any(4)
      formula = Core::Expression.compile(text, scope)
      evaluation = Core::Expression::Evaluation.new(values: values, context: context)
      wanted = ReferenceInterpreter.new(values).interpret(formula.tree)
      expect(formula.call(evaluation)).to eq(wanted), text
      wanted
    end
    expect(results.count(&:nil?)).to be < 400
  end

  {
    "- - x" => "-(-x)",
    "(a + b) + c" => "a + b + c",
    "a + (b + c)" => "a + (b + c)",
    "2 ^ -(3)" => "2 ^ (-3)",
    "-2 ^ 2" => "-2 ^ 2",
    "(-2) ^ 2" => "(-2) ^ 2",
    "not (a = b)" => "not a = b",
    "(not a) = b" => "(not a) = b",
    "x is not blank" => "x is not blank",
    "x not in (1,2)" => "not x in (1, 2)",
    "if a then b else if c then d else e" => "if a then b else if c then d else e",
    "(if a then b else c) & d" => "(if a then b else c) & d",
    "sum(pieces.maker.weight where x>1)" => "sum(pieces.maker.weight where x > 1)",
    "join(p.tag,\"\"\"\")" => "join(p.tag, \"\"\"\")",
    "OLD.x <> This.y -- remark" => "old.x <> this.y",
    "t FITS \"3DIGIT\"" => "t fits \"3DIGIT\"",
    "changed(x)" => "changed(x)",
    "user.name" => "user.name"
  }.each do |text, printed|
    it("prints #{text} as #{printed}") do
      expect(Core::Expression::Printer.new.print(Core::Expression.parse(text))).to eq(printed)
    end
  end
end
