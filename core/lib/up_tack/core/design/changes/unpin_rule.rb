# frozen_string_literal: true

module UpTack
  module Core
    module Design
      module Changes
        # Takes a rule off the board.
        class UnpinRule < Change
          def initialize(table:, rule:)
            @table = table
            @rule = rule
          end

          def apply(project)
            design =
              project.table(@table) ||
              Invalid.because(Messages["common.there_is_no_table", table: @table], part: "table")
            rule =
              design.rule(@rule) ||
              Invalid.because(
                Messages["design.all.there_is_no_rule", id: @rule, table: design.label],
                part: "id"
              )
            attributes = project.attributes
            table_attributes(attributes, @table)["rules"].reject! { |each| each["id"] == @rule }
            @summary = "Rule deleted in #{design.label}: #{rule.sentence(design).chomp(".")}"
            build(project, attributes, own: @id)
          end
        end
      end
    end
  end
end
