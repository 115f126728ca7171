# frozen_string_literal: true

module UpTack
  module Core
    module Conditions
      # The lowest and highest value that a field's own limits let it have, as far as
      # they are fixed: what lies beyond needs no row.
      module Bounds
        module_function

        # @param field [Design::Field, nil]
        # @return [Array(Object, Object)] either is nil
        def find(table, field)
          return [nil, nil] if field.nil?

          ends = table.rules.select { |rule| rule.field == field.key }.filter_map { |rule| rule.bounds(table) }
          [ends.filter_map(&:first).max, ends.filter_map(&:last).min]
        end
      end
    end
  end
end
