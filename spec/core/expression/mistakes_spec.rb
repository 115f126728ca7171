# frozen_string_literal: true

require "core_helper"

RSpec.describe "Expressions: mistakes are told with their place and a mend" do
  values = {"wet_weight" => BigDecimal(1), "collection_day" => Date.new(2026, 1, 1), "word" => "x", "on" => true}

  {
    "colection_day + 1" => [0, 13, "There is no field `colection_day`; did you mean `collection_day`?"],
    "wet_weight + word" => [0, 17, "A number and a text can't be added; use `&` to join text."],
    "wet_weight * word" => [
      0,
      17,
      "A number and a text can't be multiplied; use `value(…)` to convert text to a number."
    ],
    "collection_day + collection_day" => [
      0,
      31,
      "A date and a date can't be added; use `-` for the difference of two dates."
    ],
    "collection_day > \"2026-01-01\"" => [
      0,
      29,
      "A date can't be compared with a text; write the date as `date(\"2026-01-01\")`."
    ],
    "wet_weight = \"5\"" => [
      0,
      16,
      "A number can't be compared with a text; use `value(\"5\")` to convert text to a number."
    ],
    "now() > today()" => [
      0,
      15,
      "A date and time can't be compared with a date; convert the date and time with `date(…)`."
    ],
    "on < no" => [0, 7, "Yes and no can't be ordered; compare them with `=` or `<>`."],
    "not wet_weight" => [4, 14, "`not` needs a yes/no condition, but this is a number."],
    "if word then 1 else 2" => [3, 7, "`if` needs a yes/no condition, but this is a text."],
    "if on then 1 else word" => [
      18,
      22,
      "`then` gives a number but `else` gives a text; both must have the same type."
    ],
    "if on then 1" => [
      12,
      12,
      "An `if` needs an `else`; `else blank` is allowed."
    ],
    "-word" => [0, 5, "Only a number can have a minus sign, but this is a text."],
    "wet_weight contains \"1\"" => [0, 10, "`contains` needs text, but this is a number."],
    "uper(word)" => [0, 10, "There is no function `uper`; did you mean `upper`?"],
    "left()" => [0, 6, "`left` takes 1 to 2, as in `left(\"Kiln\", 2)`; nothing is given."],
    "today(1)" => [0, 8, "`today` takes nothing in its brackets, as in `today()`; 1 is given."],
    "len(5)" => [4, 5, "`len` takes a text as its text, but this is a number."],
    "coalesce(1, word)" => [12, 16, "All arguments of `coalesce` must have the same type; these are a text."],
    "date(\"2026-02-31\")" => [
      5,
      17,
      "\"2026-02-31\" is not a valid date; write year-month-day, like date(\"2026-11-23\")."
    ],
    "1 + " => [4, 4, "Incomplete formula: expected a field, value or function at the end."],
    "" => [0, 0, "The formula is empty."],
    "(1 + 2" => [0, 1, "This bracket is not closed; a `)` is missing."],
    "1 + 2)" => [5, 6, "This `)` has no matching `(`."],
    "1 2" => [2, 3, "Something is missing before this: an operator such as `+`, `=` or `&`, or a comma."],
    "1 < 2 < 3" => [6, 7, "Only two values can be compared at a time. Combine comparisons with `and`, or use " \
      "`between … and …`."],
    "(1, 2)" => [2, 3, "A list is only allowed after `in`, as in `stage in (\"Drying\", \"Glazed\")`."],
    "\"open" => [0, 5, "This text has no closing double quote."],
    "'open'" => [0, 1, "`'` is not used here: put text in double quotes, like \"this\"."],
    "“open”" => [0, 1, "These are curly quotes. Put text in straight quotes, like \"this\"."],
    "word == 1" => [5, 7, "`==` is not used here: to compare, use a single `=`."],
    "on && on" => [3, 5, "`&&` is not used here: use the word `and`."],
    "wet_weight # 1" => [11, 12, "Unexpected character `#`."],
    "2x" => [0, 2, "A name can't start with a digit. If you meant a number and a name, put an operator between them."],
    "1234567890123456" => [0, 16, "A number can have up to 15 digits."],
    "wet_weight in 1" => [14, 15, "`in` needs a list in brackets, as in `in (\"Bisque\", \"Glaze\")`."],
    "wet_weight is 1" => [14, 15, "`is` needs `blank` or `not blank`; to compare values, use `=`."],
    "wet_weight between 1" => [20, 20, "`between` needs two ends, as in `between 0 and 90`."],
    "user" => [4, 4, "Choose `user.name`, `user.email` or `user.role`."],
    "user.nam" => [5, 8, "There is no `user.nam`. Use `user.name`, `user.email` or `user.role`."],
    "old" => [3, 3, "`old` needs a dot and a field, as in `old.stage`."],
    "then" => [0, 4, "Unexpected `then`: expected a field, value or function."],
    "null" => [0, 4, "There is no field `null`; did you mean `blank`?"]
  }.each do |text, (from, to, message)|
    it "#{text.inspect}: #{message}" do
      problem = problem_of(text, values)
      expect([problem&.from, problem&.to, problem&.message]).to eq([from, to, message])
    end
  end

  it "tells a wrong type of the whole with its mend" do
    expect(problem_of("collection_day", values, expecting: :text).message).to eq(
      "This must give a text; it gives a date. To convert it to text, join it: `\"\" & …`."
    )
    expect(problem_of("wet_weight", values, expecting: :yes_no).message).to eq(
      "This must be yes or no; it gives a number."
    )
  end

  it "tells all mistakes at once, and each of them once" do
    {
      "foo + bar" => [0, 6],
      "\"a\" + foo" => [6],
      "-foo * \"a\" and wet > 1" => [0, 1, 15],
      "if foo then bar else 1" => [3, 12],
      "upper(foo) & left(bar, \"x\")" => [6, 18, 23]
    }.each do |text, places|
      Core::Expression.compile(text, Core::Expression::Scope.new([]))
    rescue Core::Expression::Invalid => e
      expect(e.problems.map(&:from).sort).to eq(places), "#{text}: #{e.problems.map(&:message)}"
    end
  end

  it "warns of a choice that the field does not have" do
    design = table(field("stage", "choice", choices: %w[Drying Collected]))
    formula = Core::Expression.compile("stage = \"Dryin\" or stage in (\"COLLECTED\", \"Lost\")", design.scope)
    expect(formula.warnings.map(&:message)).to eq(
      ["Stage has no choice “Dryin”; did you mean “Drying”?", "Stage has no choice “Lost”."]
    )
  end
end
