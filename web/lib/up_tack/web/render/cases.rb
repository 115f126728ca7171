# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # The chains of `if`s by which a rule sets fields, as rows.
      module Cases
        module_function

        # @param cases [Hash{String=>Array}, nil] see Core::Rules::Rule#case_rows
        # @param table [Core::Design::Table]
        # @return [Array<Hash>]
        def render(cases, table)
          (cases || {}).map do |field, rows|
            {field: table.field(field).label, rows: rows.map { |condition, value| {when: condition, then: value} }}
          end
        end
      end
    end
  end
end
