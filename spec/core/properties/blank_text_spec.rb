# frozen_string_literal: true

require "core_helper"

# A text that says nothing is blank, in a formula as where it is kept: whatever is true of a formula's
# result is true of the same result read back from a field.
RSpec.describe "Texts that say nothing" do
  texts = [nil, "", " ", "  ", "a", " a ", "b"]
  field = Core::Design::Field.new(key: "kept", label: "Kept", type: "text")

  def call(formula, values)
    scope =
      Core::Expression::Scope.new(
        values.keys.map do |key|
          Core::Expression::Scope::Entry.new(
            key: key,
            label: key,
            type: :text,
            show: ->(value) { Core::Values.show(value) }
          )
        end
      )
    Core::Expression.compile(formula, scope).call(Core::Expression::Evaluation.new(values: values, context: context))
  end

  it "are blank whether they are kept or not" do
    formulas = [
      "one & other",
      "one & \" \" & other",
      "trim(one)",
      "left(one, 0)",
      "substitute(one, \"a\", \"\")",
      "rept(one, 0)",
      "coalesce(one, other)",
      "if one is blank then other else one",
      "mid(one, 9, 2)",
      "\"\"",
      "upper(one)"
    ]
    formulas
      .product(texts, texts)
      .each do |formula, one, other|
        values = {"one" => one, "other" => other}
        kept = field.coerce(call(formula, values))
        expect(call("(#{formula}) is blank", values)).to eq(kept.nil?), [formula, one, other].inspect
        expect(call("coalesce(#{formula}, \"else\") = \"else\"", values)).to eq(kept.nil?),
          [formula, one, other].inspect
        expect(call(formula, values).to_s.strip).to eq(kept.to_s.strip)
      end
  end

  it "are compared with nothing, and whoever does it is told what to write" do
    scope = Core::Expression::Scope.of_values("name" => "a", "day" => CoreHelp::TODAY, "n" => BigDecimal(1))
    {
      'name = ""' => "`name is blank`",
      'name <> ""' => "`name is not blank`",
      "n = blank" => "`n is blank`",
      "blank <> day" => "`day is not blank`",
      'name in ("a", "")' => "`… or name is blank`",
      "n between blank and 3" => "leave this end out",
      'name contains ""' => "`name is not blank`"
    }.each do |text, mend|
      formula = Core::Expression.compile(text, scope)
      expect(formula.warnings.map(&:message).join).to include(mend), text
      expect(formula.warnings.first.to).to be > formula.warnings.first.from
    end
    expect(Core::Expression.compile('name = "a" or name is blank', scope).warnings).to be_empty
    expect([call('one = ""', "one" => "a"), call('one <> ""', "one" => "a"), call('one = ""', "one" => nil)]).to all(
      be_nil
    )
  end
end
