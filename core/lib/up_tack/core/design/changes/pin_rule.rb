# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Pins a new rule, or changes one that is pinned already.
        class PinRule < Change
          # @param table [String] key
          # @param rule [Hash{String=>Object}] plain; with the id of an existing rule it takes its place
          # @param records [#find] by which a link that is typed is found
          def initialize(table:, rule:, records: Ports::NoRecords)
            @table = table
            @rule = rule
            @records = records
          end

          def apply(project)
            attributes = project.attributes
            table = table_attributes(attributes, @table)
            @design = project.table(@table)
            @reading = ParseContext.new(conventions: project.conventions, records: @records)
            @rule["id"] ? replace(table) : add(attributes, table)
            built = build(project, attributes, own: @id)
            design = built.table(@table)
            @summary = "Rule #{@rule["id"] ? "changed" : "pinned"} " \
              "in #{design.label}: #{design.rule(@id).sentence(design).chomp(".")}"
            built
          end

          private

          def add(attributes, table)
            @id = next_id(attributes, "r")
            table["rules"] << rule_with(@id)
          end

          def replace(table)
            @id = @rule["id"]
            index =
              table["rules"].index { |each| each["id"] == @id } ||
              Invalid.because(
                Messages["design.all.there_is_no_rule", id: @id, table: table["label"]],
                part: "id"
              )
            table["rules"][index] = rule_with(@id)
          end

          # Through the rule's class, so that only what belongs to its kind is kept.
          def rule_with(id) = Rules.from(@rule.merge("id" => id)).normalized(@design, @reading).attributes
        end
      end
    end
  end
end
