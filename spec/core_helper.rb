# frozen_string_literal: true

require_relative "../core/lib/up_tack/core"

# The specs speak of the core by this name alone.
Core = UpTack::Core

# Short ways to the core for its specs.
module CoreHelp
  NOW = Time.utc(2026, 11, 23, 9, 30)
  TODAY = Date.new(2026, 11, 23)

  def context(today: TODAY, name: "Odile Marsh")
    Core::Save::Context.new(
      clock: Core::Save::Ports::StoppedClock.new(now: NOW, today: today),
      person: Core::Save::Ports::Person.new(name: name, email: "odile@emberlane.example", role: "builder")
    )
  end

  # The value of an expression over loose values, as JSON would carry it.
  def value_of(text, values = {}, **options)
    formula = Core::Expression.compile(text, Core::Expression::Scope.of_values(values))
    Core::Values.dump(formula.call(Core::Expression::Evaluation.new(values: values, context: context(**options))))
  end

  # The first problem of an expression.
  def problem_of(text, values = {}, expecting: nil)
    Core::Expression.compile(text, Core::Expression::Scope.of_values(values), expecting: expecting)
    nil
  rescue Core::Expression::Invalid => e
    e.problems.first
  end

  def number(text) = BigDecimal(text)

  # A table from short words: field("hold", "number") and plain rules.
  def table(*fields, rules: [])
    project(*fields, rules: rules).tables.first
  end

  def project(*fields, rules: [])
    Core::Design::Project.from(plain_project(*fields, rules: rules))
  end

  def plain_project(*fields, rules: [])
    numbered = rules.each_with_index.map { |rule, index| {"id" => "r#{index + 100}"}.merge(rule) }
    {
      "name" => "Trial",
      "last_id" => 200,
      "tables" => [{"id" => "t1", "key" => "pieces", "label" => "Pieces", "one" => "Piece", "fields" => fields, "rules" => numbered}]
    }
  end

  def field(key, type = "text", **more)
    {"id" => "f_#{key}", "key" => key, "label" => key.capitalize.tr("_", " "), "type" => type}.merge(more.transform_keys(&:to_s))
  end

  def rule(kind, field, **parts) = {"kind" => kind, "field" => field}.merge(parts.transform_keys(&:to_s))

  def reading = Core::Reading.new(conventions: Core::Conventions.from({}), today: TODAY)

  def save(table, typed, stored: nil, trace: false, **options)
    plan = Core::Save::Plan.new(table, Core::Conventions.from({}))
    Core::Save.call(plan, Core::Save::Draft.new(typed: typed, stored: stored), context(**options), trace: trace)
  end
end

RSpec.configure { |config| config.include CoreHelp }
