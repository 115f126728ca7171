# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module ProjectFile
        # The JSON Schema (2020-12) of project files, put together from the kinds of rules and
        # fields that there are. docs/project.schema.json is this, written out.
        module Schema
          TEXT = {"type" => "string"}.freeze
          MAYBE = {"type" => %w[string null]}.freeze
          # A text on one line, as names are: they stand in headings, files and statements.
          LINE = {"type" => "string", "pattern" => "^[^\\u0000-\\u001f\\u007f]*$"}.freeze
          MAYBE_LINE = {"type" => %w[string null], "pattern" => LINE["pattern"]}.freeze
          FLAG = {"type" => "boolean"}.freeze
          WHOLE = {"type" => "integer"}.freeze
          SCALAR = {"type" => %w[string number boolean null]}.freeze
          TEXTS = {"type" => "array", "items" => TEXT}.freeze
          ALIASES = {
            "type" => "array",
            "description" => "Former keys, which programs can still use.",
            "items" => TEXT
          }.freeze

          module_function

          # @return [Hash{String=>Object}]
          def to_h
            {
              "$schema" => "https://json-schema.org/draft/2020-12/schema",
              "title" => "Up Tack project",
              "description" =>
                "The whole design of a project: tables, fields, rules, forms, lists, people's roles and proofs.",
              **object(
                {
                  "$schema" => TEXT,
                  "format" => {"const" => FORMAT},
                  "version" => {"type" => "integer", "minimum" => 1, "maximum" => VERSION},
                  "name" => LINE,
                  "conventions" =>
                    object(
                      {
                        "date_order" => {"enum" => %w[dmy mdy ymd]},
                        "decimal_mark" => {"enum" => %w[. ,]},
                        "group_mark" => {"enum" => [",", ".", " ", ""]},
                        "time_zone" => LINE
                      }
                    ),
                  "last_id" => {
                    "type" => "integer",
                    "minimum" => 0,
                    "description" => "The highest id so far."
                  },
                  "lists" => list("list"),
                  "tables" => list("table"),
                  "people" => list("person")
                },
                %w[format version name last_id tables]
              ),
              "$defs" => definitions
            }
          end

          def definitions
            {
              "person" =>
                object(
                  {"name" => LINE, "email" => MAYBE_LINE, "role" => {"enum" => Access::ROLES}},
                  %w[name role]
                ),
              "list" =>
                object({"id" => LINE, "name" => LINE, "values" => TEXTS, "retired" => TEXTS}, %w[id name values]),
              "table" => table,
              "field" => field,
              "filter" =>
                object(
                  {
                    "id" => LINE,
                    "name" => LINE,
                    "formula" => TEXT,
                    "sort" => TEXT,
                    "columns" => {"type" => "array", "items" => column}
                  },
                  %w[id name formula]
                ),
              "rule" => {
                "type" => "object",
                "required" => %w[id kind field],
                "properties" => {"id" => LINE, "kind" => TEXT, "field" => TEXT},
                "allOf" => Rules.all.values.map { |kind| rule(kind) }
              },
              "form" => form,
              "proof" => proof,
              "act" => act,
              "expectation" => expectation,
              "access" => {"type" => "object", "additionalProperties" => TEXT}
            }
          end

          def object(properties, required = []) =
            {
              "type" => "object",
              "additionalProperties" => false,
              "properties" => properties,
              "required" => required
            }

          def ref(name) = {"$ref" => "#/$defs/#{name}"}
          def list(name) = {"type" => "array", "items" => ref(name)}

          def table
            object(
              {
                "id" => LINE,
                "key" => LINE,
                "label" => LINE,
                "aliases" => ALIASES,
                "one" => MAYBE_LINE,
                "note" => MAYBE,
                "title" => MAYBE_LINE,
                "review" =>
                  object(
                    {
                      "every" => {"enum" => ProjectValidator::EVERY},
                      "weekday" => WHOLE,
                      "hour" => WHOLE,
                      "person" => {"type" => %w[string integer], "description" => "By name."}
                    },
                    %w[every]
                  ),
                "log" => object({"only" => TEXTS, "all_but" => TEXTS}),
                "access" => ref("access"),
                "fields" => list("field"),
                "rules" => list("rule"),
                "filters" => list("filter"),
                "forms" => list("form"),
                "proofs" => list("proof")
              },
              %w[id key label fields]
            )
          end

          def column
            object(
              {
                "field" => TEXT,
                "width" => {"type" => "integer", "minimum" => 40, "maximum" => 1_200},
                "hidden" => FLAG,
                "frozen" => FLAG,
                "total" => {"enum" => Filter::TOTALS}
              },
              %w[field]
            )
          end

          def field
            object(
              {
                "id" => LINE,
                "key" => LINE,
                "label" => LINE,
                "aliases" => ALIASES,
                "type" => {"type" => "string", "description" => "One of #{Values.all.keys.join(", ")}."},
                "decimals" => WHOLE,
                "choices" => TEXTS,
                "retired" => TEXTS,
                "list" => TEXT,
                "format" => {"type" => "object"},
                "target" => TEXT,
                "on_delete" => {"enum" => ProjectValidator::ON_DELETE},
                "reverse" => LINE,
                "note" => MAYBE,
                "access" => ref("access")
              },
              %w[id key label type]
            )
          end

          # What belongs to one kind of rule.
          def rule(kind)
            parts = {"id" => LINE, "kind" => TEXT, "field" => TEXT, "name" => MAYBE_LINE, "note" => MAYBE}.merge(
              kind.parts.to_h { |part| [part.key, part.schema] }
            )
            {
              "if" => {"properties" => {"kind" => {"const" => kind.kind}}},
              "then" => {"additionalProperties" => false, "properties" => parts}
            }
          end

          def form
            item =
              object(
                {
                  "field" => TEXT,
                  "width" => WHOLE,
                  "label" => MAYBE_LINE,
                  "hint" => MAYBE,
                  "default" => MAYBE,
                  "carry" => FLAG,
                  "states" => {
                    "type" => "array",
                    "items" => object({"state" => TEXT, "when" => TEXT}, %w[state when])
                  },
                  "lines" => object({"table" => TEXT, "link" => TEXT}, %w[table link]),
                  "panel" => TEXT,
                  "fields" => TEXTS
                }
              )
            section =
              object({"title" => MAYBE_LINE, "columns" => WHOLE, "items" => {"type" => "array", "items" => item}})
            jump = object({"after" => TEXT, "when" => MAYBE, "to" => TEXT}, %w[after to])
            object(
              {
                "id" => LINE,
                "name" => LINE,
                "note" => MAYBE,
                "sections" => {"type" => "array", "items" => section},
                "order" => {"type" => %w[array null], "items" => TEXT},
                "jumps" => {"type" => "array", "items" => jump},
                "skip_filled" => FLAG,
                "buttons" => TEXTS
              },
              %w[id name sections]
            )
          end

          def proof
            object(
              {
                "id" => LINE,
                "name" => LINE,
                "group" => MAYBE_LINE,
                "note" => MAYBE,
                "form" => MAYBE,
                "person" => object({"name" => LINE, "email" => MAYBE_LINE, "role" => MAYBE}),
                "at" => TEXT,
                "start" =>
                  object(
                    {"from" => {"enum" => %w[new copy real]}, "record" => {"type" => %w[integer null]}},
                    %w[from]
                  ),
                "records" => {
                  "type" => "object",
                  "additionalProperties" => {
                    "type" => "object",
                    "additionalProperties" => {"type" => "object", "additionalProperties" => SCALAR}
                  }
                },
                "acts" => list("act"),
                "expect" => list("expectation")
              },
              %w[id name at expect]
            )
          end

          def act
            object(
              {
                "do" => {"enum" => Script::ACTS},
                "field" => TEXT,
                "value" => SCALAR,
                "values" => {"type" => "object", "additionalProperties" => SCALAR},
                "rule" => TEXT,
                "reason" => TEXT,
                "table" => TEXT,
                "link" => TEXT,
                "rows" => {
                  "type" => "array",
                  "items" =>
                    object(
                      {
                        "id" => {"type" => %w[integer null]},
                        "values" => {"type" => "object", "additionalProperties" => SCALAR},
                        "gone" => FLAG
                      }
                    )
                },
                "days" => WHOLE,
                "hours" => WHOLE,
                "person" => object({"name" => LINE, "email" => MAYBE_LINE, "role" => MAYBE})
              },
              %w[do]
            )
          end

          def expectation
            object(
              {
                "what" => {"enum" => Expectation::WHAT},
                "act" => {"type" => %w[integer null]},
                "field" => TEXT,
                "rule" => TEXT,
                "message" => TEXT,
                "is" => SCALAR,
                "before" => SCALAR,
                "after" => SCALAR,
                "to" => MAYBE,
                "fits" => TEXT
              },
              %w[what]
            )
          end
        end
      end
    end
  end
end
