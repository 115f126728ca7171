# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # The chains of `if`s by which a rule sets fields, as rows.
      module Cases
        module_function

        # @param rule [Core::Rules::Rule]
        # @param table [Core::Design::Table]
        # @return [Hash, nil] nil where there are none
        def of(rule, table) = render(rule.sentence_above_rows(table), rule.case_rows(table), table)

        # @param lead [String] the sentence above the rows
        # @param fields [Hash{String=>Array}] see Core::Rules::Rule#case_rows
        def render(lead, fields, table)
          return if fields.empty?

          {lead: lead, fields: fields.map { |key, rows| field(table.field(key).label, rows) }}
        end

        def field(label, rows)
          {field: label, rows: rows.map { |condition, value| {when: condition, then: value} }}
        end
      end
    end
  end
end
