# frozen_string_literal: true

require "core_helper"

RSpec.describe "Expressions: what they give" do
  values = {
    "a" => BigDecimal("1.5"),
    "b" => BigDecimal("-2"),
    "none" => nil,
    "word" => "Kiln",
    "on" => true,
    "off" => false,
    "day" => Date.new(2028, 2, 29)
  }

  {
    "numbers are exact" => {
      "0.1 + 0.2" => "0.3",
      "1.10 * 3" => "3.3",
      "1 - 0.9" => "0.1",
      "10 / 4" => "2.5",
      "1 / 3" => "0.333333333333333",
      "1 / 3 * 3 = 1" => true,
      "7 mod 3" => "1",
      "-7 mod 3" => "2",
      "12.50" => "12.5",
      ".5" => "0.5",
      "-0" => "0",
      "999999999999999 + 0" => "999999999999999",
      "2 ^ 10" => "1024",
      "2 ^ -1" => "0.5",
      "-2 ^ 2" => "-4",
      "(-2) ^ 2" => "4",
      "2 ^ 3 ^ 2" => "64",
      "2 ^ 0.5 * 2 ^ 0.5" => "2"
    },
    "signs bind as told" => {
      "1 + 2 * 3" => "7",
      "(1 + 2) * 3" => "9",
      "10 - 3 - 2" => "5",
      "20 / 2 / 5" => "2",
      "1 + 2 & \"x\"" => "3x",
      "1 & 2 = \"12\"" => true,
      "yes or no and no" => true,
      "not no and no" => false,
      "not (no and no)" => true,
      "a - -1" => "2.5",
      "+a" => "1.5"
    },
    "comparisons" => {
      "a > 1" => true,
      "a >= 1.5" => true,
      "a < 1.5" => false,
      "a <> b" => true,
      "a ≤ 2" => true,
      "a ≠ 1.50" => false,
      "\"kiln\" = word" => true,
      "\"A\" < \"b\"" => true,
      "on = yes" => true,
      "on = off" => false,
      "day > date(\"2028-02-28\")" => true,
      "\"STRASSE\" = \"straße\"" => true
    },
    "between, in and looks into text" => {
      "5 between 5 and 7" => true,
      "7 between 5 and 7" => true,
      "7.1 between 5 and 7" => false,
      "5 not between 6 and 7" => true,
      "word in (\"shelf\", \"KILN\")" => true,
      "3 in (1, 2)" => false,
      "3 not in (1, 2)" => true,
      "word contains \"IL\"" => true,
      "word starts with \"k\"" => true,
      "word ends with \"x\"" => false,
      "word contains \"\"" => nil
    },
    "choice" => {
      "if a > 1 then \"big\" else \"small\"" => "big",
      "if none then 1 else 2" => "2",
      "if no then 1 else if yes then 2 else 3" => "2",
      "\"x\" & if on then \"y\" else \"z\"" => "xy",
      "if on then blank else 3" => nil
    },
    "blank goes through, by SQL's three values" => {
      "none + 1" => nil,
      "none = none" => nil,
      "none <> 1" => nil,
      "not none" => nil,
      "none and no" => false,
      "none and yes" => nil,
      "none or yes" => true,
      "none or no" => nil,
      "none & \"x\"" => "x",
      "none is blank" => true,
      "a is not blank" => true,
      "none between 1 and 2" => nil,
      "5 between none and 4" => false,
      "3 between none and 4" => nil,
      "none in (1, 2)" => nil,
      "1 in (1, blank)" => true,
      "3 in (1, blank)" => nil,
      "upper(none)" => nil,
      "coalesce(none, 4)" => "4",
      "1 / 0" => nil,
      "1 mod 0" => nil,
      "0 is blank" => false,
      "no is blank" => false
    },
    "days" => {
      "day + 1" => "2028-03-01",
      "day - 366" => "2027-02-28",
      "1 + day" => "2028-03-01",
      "day - date(\"2028-01-31\")" => "29",
      "edate(date(\"2027-01-31\"), 1)" => "2027-02-28",
      "edate(date(\"2028-01-31\"), 1)" => "2028-02-29",
      "edate(date(\"2026-03-31\"), -1)" => "2026-02-28",
      "eomonth(date(\"2028-02-01\"), 0)" => "2028-02-29",
      "year(day)" => "2028",
      "today() + 14" => "2026-12-07",
      "date(now()) = today()" => true,
      "now() - (now() - 1.5)" => "1.5",
      "day + 0.5" => nil,
      "date(\"9999-12-31\") + 1" => nil,
      "date(word)" => nil
    },
    "text by what people see as characters" => {
      "left(\"ne\u0301ro\", 2)" => "né",
      "len(\"👨‍👩‍👧\")" => "1",
      "right(\"kiln\")" => "n",
      "mid(\"KD-017\", 4, 3)" => "017",
      "left(\"ab\", -1)" => nil,
      "mid(\"abc\", 0, 2)" => nil,
      "upper(\"straße\")" => "STRASSE",
      "trim(\" a  b \")" => "a b",
      "substitute(\"a.b.c\", \".\", \"\")" => "abc",
      "substitute(\"abc\", \"\", \"x\")" => "abc",
      "value(\" 12.5 \") + 1" => "13.5",
      "value(word)" => nil,
      "\"say \"\"hi\"\"\"" => "say \"hi\""
    },
    "rounding" => {
      "round(2.5)" => "3",
      "round(-2.5)" => "-3",
      "round(2.345, 2)" => "2.35",
      "round(1250, -2)" => "1300",
      "floor(-2.1)" => "-3",
      "ceiling(2.01)" => "3",
      "abs(b)" => "2"
    },
    "more text" => {
      "find(\"N\", \"Kiln\")" => nil,
      "find(\"l\", \"kiln kiln\", 4)" => "8",
      "find(\"\", word)" => nil,
      "find(\"👨‍👩‍👧\", \"a👨‍👩‍👧\")" => "2",
      "rept(\"ab\", 3)" => "ababab",
      "rept(\"ab\", -1)" => nil,
      "exact(word, \"kiln\") or word = \"kiln\"" => true,
      "proper(\"o'NEIL mc-kay ÉTÉ\")" => "O'neil Mc-Kay Été",
      "word fits \"1UPPER 3LOWER\"" => true,
      "word fits \"4DIGIT\"" => false,
      "word not fits \"4DIGIT\"" => true,
      "none fits \"4DIGIT\"" => nil,
      "text(1234567.891, \"#,##0.00\")" => "1,234,567.89",
      "text(0.125, \"0.0%\")" => "12.5%",
      "text(-7, \"000\")" => "-007",
      "text(0, \"#\")" => nil,
      "text(day, \"EEEE, d MMMM yyyy\")" => "Tuesday, 29 February 2028",
      "text(day, \"dd/MM/yy 'o''clock'\")" => "29/02/28 o'clock",
      "text(now(), \"yyyy-MM-dd HH:mm\")" => "2026-11-23 09:30",
      "text(time(13, 5), \"h:mm a\")" => "1:05 pm",
      "text(none, \"0\")" => nil
    },
    "more numbers" => {
      "roundup(2.001, 2)" => "2.01",
      "roundup(-2.001)" => "-3",
      "rounddown(-2.999, 1)" => "-2.9",
      "ceiling(-47, 5)" => "-45",
      "floor(-47, 5)" => "-50",
      "floor(47, 0)" => nil,
      "mod(-17, 5)" => "3",
      "sqrt(0.0625)" => "0.25",
      "sqrt(2) * sqrt(2)" => "2",
      "sqrt(-1)" => nil,
      "power(0, -1)" => nil,
      "max(a, none, b)" => "1.5",
      "min(day, today())" => "2026-11-23",
      "max(none, none)" => nil
    },
    "more days and hours" => {
      "weekday(date(\"2026-11-22\"))" => "1",
      "weekday(date(\"2026-11-22\"), 2)" => "7",
      "weekday(date(\"2026-11-23\"), 3)" => "0",
      "weekday(day, 9)" => nil,
      "weeknum(date(\"2027-01-01\"), 21)" => "53",
      "weeknum(date(\"2027-01-01\"))" => "1",
      "weeknum(date(\"2027-01-03\"))" => "2",
      "weeknum(date(\"2027-01-03\"), 2)" => "1",
      "workdays(date(\"2026-11-28\"), date(\"2026-11-29\"))" => "0",
      "workdays(date(\"2026-11-27\"), date(\"2026-11-30\"))" => "2",
      "workdays(date(\"2026-11-30\"), date(\"2026-11-27\"))" => "-2",
      "workdays(date(\"2026-01-01\"), date(\"2026-12-31\"))" => "261",
      "days(date(\"2026-01-01\"), date(\"2026-12-31\"))" => "-364",
      "time(9, 5) < time(\"10:00\")" => true,
      "time(25, 0)" => nil,
      "hour(now()) & \":\" & minute(now())" => "9:30",
      "\"at \" & time(7, 5)" => "at 07:05"
    },
    "the person, case, comments" => {
      "user.name" => "Odile Marsh",
      "user.role" => "builder",
      "WORD & UPPER(\"x\")" => "KilnX",
      "1 + -- the rest is passed over\n 2" => "3",
      "is_new" => true
    }
  }.each do |name, cases|
    it name do
      wrong =
        cases.map { |text, wanted| [text, wanted, value_of(text, values)] }.reject { |_, wanted, got| wanted == got }
      expect(wrong).to be_empty
    end
  end

  it "gives every function's example as its help says" do
    shown = ->(value) { {true => "yes", false => "no"}.fetch(value, value) }
    found =
      Core::Expression::Functions
        .all
        .values
        .select(&:example_result)
        .to_h { |function| [function.example, [shown.call(value_of(function.example)), function.example_result]] }
    expect(found.reject { |_, (got, said)| got == said }).to be_empty
  end

  it "notes why a result could not be had, and stays blank" do
    evaluation = Core::Expression::Evaluation.new(values: {}, context: context)
    notes =
      ["1 / 0", "10 ^ 9 * 10 ^ 9", "date(\"2026-01-01\") + 0.5", "(0 - 4) ^ 0.5"].map do |text|
        Core::Expression.compile(text, Core::Expression::Scope.new([])).call(evaluation)
        evaluation.notes.last.last
      end
    expect(notes).to eq(
      [
        "division by zero",
        "the result has more than 15 digits",
        "only whole days can be added to a date (got 0.5)",
        "the power can't be calculated"
      ]
    )
  end

  it "reads what was before the save through old." do
    formula = Core::Expression.compile("old.stage <> stage", Core::Expression::Scope.of_values("stage" => "a"))
    evaluation =
      Core::Expression::Evaluation.new(
        values: {"stage" => "Fired"},
        old: {"stage" => "Drying"},
        context: context,
        is_new: false
      )
    expect(formula.call(evaluation)).to be(true)
    expect(formula.reads).to eq(["stage"])
  end
end
