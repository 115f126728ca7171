# frozen_string_literal: true

module UpTack
  module Core
    module Decisions
      # The lowest and highest value that a field's own limits let it have, as far as
      # they are fixed: what lies beyond needs no row.
      module Bounds
        module_function

        # @param field [Design::Field, nil]
        # @return [Array(Object, Object)] either is nil
        def of(table, field)
          return [nil, nil] if field.nil?

          limits = table.rules.select { |rule| rule.is_a?(Rules::Limits) && rule.field == field.key && !rule.warning? }
          ends = limits.map { |rule| fixed(rule.test(table)) }
          [ends.filter_map(&:first).max, ends.filter_map(&:last).min]
        end

        def fixed(test)
          [test.low, test.high].map do |formula|
            formula.call(Rules::Literals.nothing) if formula && formula.references.empty? && formula.fleeting.empty?
          end
        end
      end
    end
  end
end
