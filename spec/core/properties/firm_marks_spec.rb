# frozen_string_literal: true

require "core_helper"

# Whatever makes a text of a number, or a number of a text, does it as the firm writes numbers;
# patterns are held against what they can write before anybody saves by them.
RSpec.describe "Numbers as the firm writes them" do
  def project(decimal, group)
    Core::Design::Project.from(
      {
        "name" => "Studio",
        "last_id" => 9,
        "conventions" => {"decimal_mark" => decimal, "group_mark" => group},
        "tables" => [
          {
            "id" => "t1",
            "key" => "pieces",
            "label" => "Pieces",
            "rules" => [],
            "fields" => [
              {"id" => "f1", "key" => "n", "label" => "N", "type" => "number"},
              {"id" => "f2", "key" => "b", "label" => "B", "type" => "yes_no"},
              {"id" => "f3", "key" => "t", "label" => "T", "type" => "text"}
            ]
          }
        ]
      }
    )
  end

  def written(formula, marks, values)
    Core::Expression.compile(formula, project(*marks).table("pieces").scope).call(
      Core::Expression::Evaluation.new(values: values, context: context)
    )
  end

  {
    %w[. ,] => %w[1234.5 1,234.50],
    %w[, .] => %w[1234,5 1.234,50],
    [",", " "] => ["1234,5", "1 234,50"]
  }.each do |marks, (digits, grouped)|
    it "have #{marks.first} before decimals and #{marks.last.inspect} between thousands" do
      values = {"n" => BigDecimal("1234.5"), "b" => true, "t" => digits}
      expect(written('n & ""', marks, values)).to eq(digits)
      expect(written('(n * 1) & ""', marks, values)).to eq(digits)
      expect(written('1234.5 & ""', marks, values)).to eq(digits)
      expect(written('text(n, "#,##0.00")', marks, values)).to eq(grouped)
      expect(written("value(t) * 2", marks, values)).to eq(BigDecimal(2469))
      expect(written("value(\"#{grouped}\")", marks, values)).to eq(BigDecimal("1234.5"))
      expect(written("value(t & \"\") = n", marks, values)).to be(true)
      expect(Core::Expression.compile("n > 12.5", project(*marks).table("pieces").scope).words).to eq(
        "N > 12#{marks.first}5"
      )
    end
  end

  it "read alike for yes and no, from a field or a condition" do
    [true, false].each do |answer|
      expect(written('b & ""', %w[. ,], {"b" => answer})).to eq(
        written("(1 = #{answer ? 1 : 2}) & \"\"", %w[. ,], {})
      )
    end
  end

  it "are written by patterns that are held against their values when they are typed, at the place" do
    scope =
      Core::Expression::Scope.of_values(
        "n" => BigDecimal(1),
        "day" => CoreHelp::TODAY,
        "hour" => Core::DayTime.at(9, 30)
      )
    {
      'text(day, "DD/MM/YYYY")' => %w[YYYY `yyyy`],
      'text(n, "0.00;(0.00)")' => [";(0.00)", "one part"],
      'text(n, "0.0 0")' => ["0", "one place"],
      'text(n, "kg")' => ["kg", "needs a `0`"],
      'text(day, "HH:mm")' => ["HH", "no meaning"],
      'text(hour, "d HH")' => ["d", "no meaning"],
      'text(day, "d \'of")' => ["'of", "single quote"],
      'text(day, "\'a "" b\' qq")' => %w[qq `QQ`]
    }.each do |text, (place, message)|
      Core::Expression.compile(text, scope)
      raise "#{text} was taken"
    rescue Core::Expression::Invalid => e
      expect([text[e.problems.first.from...e.problems.first.to], e.message]).to match([place, include(message)])
    end
    expect(Core::Expression.compile('text(day, "DD/MM/yyyy")', scope).warnings.map(&:message)).to eq(
      ["`DD` is the day of the year; the day of the month is `dd`."]
    )
  end
end
