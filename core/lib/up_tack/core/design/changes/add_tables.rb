# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # New tables with all their fields and rules, as they come with files: one change, checked as a whole.
        # Their links may lead to one another.
        class AddTables < Change
          # @param tables [Array<Hash{String=>Object}>] "label", "fields" and, where they are told, "key" and "one"
          #   of each. Fields are as AddField takes them, with "rules" besides: plain, without their "field"
          # @param summary [String, nil] one sentence; says how many tables and fields unless given
          def initialize(tables:, summary: nil)
            @tables = tables
            @given_summary = summary
          end

          # @param project [Project]
          # @return [Project]
          # @raise [Core::Invalid] what is wrong with a field or a rule says of which
          def apply(project)
            attributes = project.attributes
            added = @tables.map { |given| add_table(attributes, given) }
            bare = build(project, attributes)
            reading = ParseContext.new(conventions: project.conventions)
            added.zip(@tables) { |table, given| pin_rules(attributes, table, given, bare, reading) }
            @summary = @given_summary || counted(added)
            build(project, attributes)
          end

          # @param project [Project] that came of it
          # @return [Array<Table>] those that it added, in the order in which they were given
          def added_to(project) = project.tables.last(@tables.length)

          private

          def add_table(attributes, given)
            label = tidy_label(given["label"])
            if !given["fields"].is_a?(Array) || given["fields"].empty?
              Invalid.because(Messages["design.add_tables.table_needs_at_least_one_field"], part: "fields")
            end
            table = {
              "id" => next_id(attributes, "t"),
              "key" => pick_key(given["key"], label, taken(attributes["tables"]), "table"),
              "label" => label,
              "fields" => [],
              "rules" => []
            }
            one = tidy_label(given["one"])
            table["one"] = one unless one.nil? || one == ""
            given["fields"].each { |each| table["fields"] << field(attributes, table, each) }
            attributes["tables"] << table
            table
          end

          def field(attributes, table, given)
            label = tidy_label(given["label"])
            key = pick_key(given["key"], label, taken(table["fields"]), "field")
            {"id" => next_id(attributes, "f"), "key" => key, "label" => label}.merge(
              given.slice(*AddField::PARTS).compact
            )
          rescue Invalid => e
            raise Invalid, e.problems.map { |problem| of_field(problem, given) }
          end

          def pin_rules(attributes, table, given, bare, reading)
            design = bare.table(table["key"])
            table["fields"].zip(given["fields"]) do |field, sent|
              (sent["rules"] || []).each do |rule|
                plain = rule.merge("field" => field["key"], "id" => next_id(attributes, "r"))
                table["rules"] << Rules.from(plain).normalized(design, reading).attributes
              rescue Invalid => e
                raise Invalid, e.problems.map { |problem| of_field(problem, field) }
              end
            end
          end

          # In a list of many fields a problem has to say whose it is.
          def of_field(problem, field)
            message = Messages["design.add_tables.of_field", field: field["label"].to_s, problem: problem.message]
            Problem.new(part: "fields", message: message)
          end

          def elsewhere(attributes, problem)
            tables = attributes["tables"].last(@tables.length)
            table, rule = tables.flat_map { |each| [each].product(each["rules"]) }.find { _2["id"] == problem.rule }
            return super unless table

            of_field(problem, table["fields"].find { |each| each["key"] == rule["field"] } || table)
          end

          def counted(added)
            return "Table #{added.first["label"]} added, with #{added.first["fields"].length} fields" if added.one?

            "#{added.length} tables added: #{added.map { |table| table["label"] }.join(", ")}"
          end
        end
      end
    end
  end
end
