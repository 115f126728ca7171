# frozen_string_literal: true

require_relative "../core/lib/up_tack/core"
require_relative "support/thorough"

# The specs speak of the core by this name alone.
Core = UpTack::Core

# Short ways to the core for its specs.
module CoreHelp
  NOW = Time.utc(2026, 11, 23, 9, 30)
  TODAY = Date.new(2026, 11, 23)

  def context(today: TODAY, name: "Odile Marsh", records: Core::Ports::NoRecords)
    Core::Context.new(
      records: records,
      clock: Core::Ports::StoppedClock.new(now: NOW, today: today),
      person: Core::Ports::Person.new(name: name, email: "odile@emberlane.example", role: "builder")
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

  # Three linked tables: titles, members with a title, pieces with a maker and
  # a helper, who are members. Rules by table.
  def studio(rules = {})
    ids = 0
    tables = {
      "titles" => [field("text")],
      "members" => [
        field("name"),
        link("title", "titles"),
        field("joined", "date"),
        field("greeting"),
        field("total", "number")
      ],
      "pieces" => [
        field("tag"),
        link("maker", "members", "reverse" => "Pieces made"),
        link("helper", "members"),
        field("weight", "number"),
        field("stage", "choice", choices: %w[Drying Collected]),
        field("whose"),
        field("share", "number")
      ]
    }
    attributes =
      tables.map do |key, fields|
        pinned = rules.fetch(key, []).map { |rule| {"id" => "r#{ids += 1}"}.merge(rule) }
        {
          "id" => "t_#{key}",
          "key" => key,
          "label" => key.capitalize,
          "one" => key.capitalize.chomp("s"),
          "fields" => fields.map { |each| each.merge("id" => "#{each["id"]}_#{key}") },
          "rules" => pinned
        }
      end
    Core::Design::Project.from("name" => "Studio", "last_id" => 500, "tables" => attributes)
  end

  def link(key, target, more = {}) = field(key, "link").merge("target" => target).merge(more)

  STUDIO_RECORDS = {
    "titles" => {1 => {"text" => "Dr"}},
    "members" => {
      4 => {"name" => "Ansa Velt", "title" => 1, "joined" => Date.new(2024, 2, 29)},
      5 => {"name" => "Maro Tinsley", "title" => nil, "joined" => nil}
    },
    "pieces" => {
      1 => {"tag" => "PC-1", "maker" => 4, "helper" => 5, "weight" => BigDecimal("640.5"), "stage" => "Drying"},
      2 => {"tag" => "PC-2", "maker" => 4, "helper" => nil, "weight" => nil, "stage" => "Collected"},
      3 => {"tag" => nil, "maker" => 4, "helper" => 4, "weight" => BigDecimal("0.1"), "stage" => "Collected"},
      9 => {"tag" => "PC-9", "maker" => nil, "helper" => nil, "weight" => BigDecimal("7"), "stage" => nil}
    }
  }.freeze

  def studio_records =
    Core::Ports::HeldRecords.new(
      STUDIO_RECORDS,
      titles: {"members" => "name", "pieces" => "tag", "titles" => "text"}
    )

  # The value of a formula on a record of the studio, as JSON would carry it.
  def seen_from(table, id, text, project: studio, old: nil)
    values = STUDIO_RECORDS[table][id]
    formula = Core::Expression.compile(text, project.table(table).scope)
    Core::Values.dump(
      formula.call(
        Core::Expression::Evaluation.new(
          values: values,
          old: old || values,
          context: context(records: studio_records),
          is_new: false,
          id: id
        )
      )
    )
  end

  # The first mistake of a formula of the studio, with the part of the text that it points at.
  def mistake_in(table, text, expecting: nil)
    Core::Expression.compile(text, studio.table(table).scope, expecting: expecting)
    nil
  rescue Core::Expression::Invalid => e
    [e.problems.first.message, text[e.problems.first.from...e.problems.first.to]]
  end

  # A table from short words: field("hold", "number") and plain rules.
  def table(*fields, rules: [])
    project(*fields, rules: rules).tables.first
  end

  def project(*fields, rules: [])
    Core::Design::Project.from(project_attributes(*fields, rules: rules))
  end

  def project_attributes(*fields, rules: [])
    numbered = rules.each_with_index.map { |rule, index| {"id" => "r#{index + 100}"}.merge(rule) }
    {
      "name" => "Trial",
      "last_id" => 200,
      "tables" => [
        {
          "id" => "t1",
          "key" => "pieces",
          "label" => "Pieces",
          "one" => "Piece",
          "fields" => fields,
          "rules" => numbered
        }
      ]
    }
  end

  def field(key, type = "text", **more)
    {"id" => "f_#{key}", "key" => key, "label" => key.capitalize.tr("_", " "), "type" => type}.merge(
      more.transform_keys(&:to_s)
    )
  end

  def rule(kind, field, **parts) = {"kind" => kind, "field" => field}.merge(parts.transform_keys(&:to_s))

  def reading = Core::ParseContext.new(conventions: Core::Conventions.from({}), today: TODAY)

  def save(table, typed, stored: nil, trace: false, **options)
    plan = Core::Save::Plan.new(table, Core::Conventions.from({}))
    Core::Save.call(plan, Core::Save::Draft.new(typed: typed, stored: stored), context(**options), trace: trace)
  end
end

RSpec.configure { |config| config.include CoreHelp }
