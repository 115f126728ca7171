# frozen_string_literal: true

require "core_helper"

RSpec.describe "Expressions: any input gives a value or a mistake with a place" do
  it "bounds nesting, length, digits and texts" do
    expect(problem_of("(" * 10_000).message).to match(/up to 4,000 characters/)
    expect(problem_of("#{"(" * 200}1#{")" * 200}").message).to match(/more than 100 levels deep/)
    expect(problem_of("#{"not " * 900}yes").message).to match(/more than 100 levels deep/)
    expect(problem_of("#{"- " * 900}1").message).to match(/more than 100 levels deep/)
    expect(value_of("#{"1+" * 1_990}1")).to eq("1991")
    expect(value_of("10 ^ 100000")).to be_nil
    expect(value_of("1.0000001 ^ 9999")).to eq("1.00100040001662")
    expect(value_of("word & word & word", {"word" => "x" * 40_000})).to be_nil
  end

  it "runs the longest chain inside a thread of a server as well" do
    expect(Thread.new { value_of("#{"1+" * 1_990}1") }.value).to eq("1991")
  end

  it "takes 4,000 characters of anything that people paste" do
    [
      "if yes then " * 333,
      "count(" * 650,
      "maker." * 660,
      "\"" * 3_999,
      "a & " * 999 + "a",
      "((" * 50 + "a" + "))" * 49,
      "\u202E" * 4_000,
      "x fits \"#{"[" * 3_000}\"",
      "sum(pieces.maker where " * 170,
      "not not " * 480,
      "a in (" + "1," * 1_900 + "1)"
    ].each do |text|
      problem = problem_of(text, {"a" => BigDecimal("1")})
      expect(
        problem.nil? || (problem.from.between?(0, text.length) && problem.to.between?(problem.from, text.length))
      ).to be(true),
        text[0, 40]
    end
  end

  it "takes thousands of random token strings without another exception or a hang" do
    pieces = [
      "a",
      "b",
      "none",
      "1",
      "0.5",
      "\"x\"",
      "(",
      ")",
      ",",
      "+",
      "-",
      "*",
      "/",
      "^",
      "&",
      "=",
      "<>",
      "<",
      ">=",
      "and",
      "or",
      "not",
      "if",
      "then",
      "else",
      "between",
      "in",
      "is",
      "blank",
      "contains",
      "starts",
      "with",
      "yes",
      "mod",
      "old.",
      "user.name",
      "upper(",
      "round(",
      "left(",
      "date(",
      "today()",
      "coalesce(",
      "count(",
      "sum(",
      "join(",
      "where",
      "this.",
      "changed(",
      "fits",
      "\"3DIGIT\"",
      "text(",
      "weekday(",
      "max(",
      "maker",
      "pieces",
      ".",
      "-- x\n",
      "é",
      "\u202E",
      "\u{1F3FA}",
      "\"",
      "'",
      "\u0000"
    ]
    values = {"a" => BigDecimal("1.5"), "b" => "word", "none" => nil}
    random = Random.new(RSpec.configuration.seed)
    Thorough.rounds(8_000).times do
      text = Array.new(random.rand(1..14)) { pieces[random.rand(pieces.length)] }.join(" ")
      begin
        value_of(text, values)
      rescue Core::Expression::Invalid => e
        problem = e.problems.first
        expect(problem.from).to be_between(0, text.length), text
        expect(problem.to).to be_between(problem.from, text.length), text
      end
    end
  end
end
