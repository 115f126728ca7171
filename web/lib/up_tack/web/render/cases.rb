# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # The chains of `if`s by which a rule sets fields, as rows.
      module Cases
        module_function

        # @param cases [Array, nil] see Core::Rules::Rule#sentence_with_rows
        # @param table [Core::Design::Table] the rule's own
        # @return [Hash, nil] nil where there are none
        def of(cases, table)
          return unless cases

          lead, fields = cases
          {lead: lead, fields: fields.map { |key, rows| field(table.field(key).label, rows) }}
        end

        def field(label, rows)
          {field: label, rows: rows.map { |condition, value| {when: condition, then: value} }}
        end
      end
    end
  end
end
