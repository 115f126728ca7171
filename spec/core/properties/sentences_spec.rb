# frozen_string_literal: true

require "core_helper"

# What the product says of rules is a sentence for every design: nothing is missing in it, nothing
# stands twice, and it ends where it ends. A thousand designs, made at random.
RSpec.describe "What is said of rules" do
  numbers = %w[n m]
  designs = 1_000
  broken = {
    "a gap in it" => / {2}|\(\)|“”|``/,
    "a stray end" => /[,;:]\.|\.\.\z|\s[.,;]|(?:where|and|or|while|to|of|is|when|with|if)\s*\.\z/i,
    "a word of the code" => /#<|\bnil\b|\bUpTack\b|=>|\bPROC\b/,
    "a word twice" => /\b(\p{L}{2,}) \1\b(?! Number)/i
  }

  define_method(:fields) do
    [
      field("n", "number", decimals: 0, label: "Count"),
      field("m", "number", label: "Mass"),
      field("t", label: "Title"),
      field("c", "choice", choices: %w[Red Green], label: "Colour"),
      field("d", "date", label: "Due"),
      field("b", "yes_no", label: "Done"),
      field("x", "long_text", label: "Notes")
    ]
  end

  pick = ->(random, list) { list.sample(random: random) }
  conditions = [
    "n > 3",
    "m is blank",
    "c = \"Red\"",
    "b",
    "not b",
    "d >= today()",
    "n between 1 and 5 and b",
    "c in (\"Red\", \"Green\") or m < n",
    "t starts with \"K\"",
    "old.c <> c",
    "yes",
    "n = n",
    "len(t) > 2",
    "n > 3 and n < 2"
  ]
  kinds = {
    "limits" => ->(random) { {"field" => "n", "low" => pick.call(random, ["1", "m", nil]), "high" => "9"}.compact },
    "required" => ->(random) do
      {"field" => pick.call(random, %w[t n d]), "when" => pick.call(random, [nil, *conditions])}.compact
    end,
    "check" => ->(random) do
      {
        "field" => pick.call(random, %w[n t]),
        "formula" => pick.call(random, conditions),
        "severity" => pick.call(random, %w[refuse warn])
      }
    end,
    "unique" => ->(random) do
      {"field" => "t", "with" => pick.call(random, [nil, ["c"]]), "when" => pick.call(random, [nil, "b"])}.compact
    end,
    "length" => ->(random) { {"field" => "t", "least" => pick.call(random, [nil, 1]), "most" => 4}.compact },
    "state" => ->(random) do
      {
        "field" => "t",
        "state" => pick.call(random, %w[shown enabled required read_only]),
        "when" => pick.call(random, conditions - ["old.c <> c"])
      }
    end,
    "stamp" => ->(random) do
      {
        "field" => "d",
        "event" => "reached",
        "when" => pick.call(random, ["n > 3", "b"]),
        "which" => pick.call(random, [nil, "last"])
      }.compact
    end,
    "tally" => ->(random) { {"field" => "m", "watch" => pick.call(random, [nil, ["t"], %w[t c]])}.compact },
    "line" => ->(random) { {"field" => "x", "event" => "changed", "watch" => ["c"], "formula" => "\"now \" & c"} },
    "fill" => ->(random) do
      {
        "field" => "t",
        "event" => pick.call(random, %w[changed made]),
        "when" => pick.call(random, [nil, *conditions]),
        "watch" => %w[n c],
        "sets" => [
          {
            "field" => "t",
            "to" => pick.call(random, ["\"a\"", "c & \"!\"", "blank"]),
            "else" => pick.call(random, [nil, "\"z\""])
          }.compact
        ]
      }.compact
    end,
    "decision" => ->(random) do
      {
        "field" => "t",
        "inputs" => pick.call(random, [["c"], %w[c n]]).then { |inputs| @inputs = inputs },
        "outputs" => ["t"],
        "rows" =>
          Array.new(random.rand(1..3)) do
            [
              *@inputs.map do |key|
                pick.call(random, (key == "c") ? ["", "Red", "blank"] : ["", "3", "> 2", "1..4"])
              end,
              "x"
            ]
          end
      }
    end,
    "narrow" => ->(random) do
      {"field" => "c", "formula" => pick.call(random, ["c <> \"Red\" or b", "n > 3 or c = \"Red\""])}
    end,
    "calculation" => ->(random) do
      {
        "field" => pick.call(random, numbers),
        "formula" =>
          pick
            .call(random, ["if n > 1 then 1 else if b then 2 else blank", "5", "len(t)"])
            .then { |text| text.gsub(/\bn\b/, "len(t)") }
      }
    end,
    "default" => ->(random) { {"field" => "t", "formula" => pick.call(random, ["\"a\" & n", "user.name"])} },
    "mask" => ->(random) { {"field" => "t", "mask" => pick.call(random, ["2UPPER \"-\" 3DIGIT", "1*4DIGIT"])} }
  }

  it "is whole, for every design" do
    random = Random.new(RSpec.configuration.seed)
    said = Hash.new { |hash, text| hash[text] = [] }
    made = 0
    designs.times do
      rules =
        kinds
          .keys
          .sample(random.rand(1..5), random: random)
          .map { |kind| rule(kind, "t", **kinds.fetch(kind).call(random).transform_keys(&:to_sym)) }
      table = table(*fields, rules: rules)
      made += 1
      texts =
        table.rules.flat_map do |each|
          [each.sentence(table), each.tack(table), *each.outcomes(table).map { |outcome| outcome[1] }]
        end + table.neighbours.notices(table).all.map(&:message)
      texts.each { |text| said[text] << rules }
    rescue Core::Invalid => e
      e.problems.each { |problem| said[problem.message] << rules }
    end
    expect(made).to be > designs / 4
    wrong =
      said.keys.flat_map do |text|
        broken.filter_map { |name, shape| [name, text] if text.gsub(/“[^”]*”|`[^`]*`/, "x").match?(shape) }
      end
    puts "\n#{said.length} sentences of #{designs} designs: #{wrong.length} not whole"
    expect(wrong.first(10)).to eq([])
    sentences = said.keys.select { |text| text.end_with?(".") }
    expect(sentences.reject { |text| text.match?(/\A[\p{Lu}“`]/) }).to eq([])
  end
end
