# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      # What a copy of a record begins with: a copy gets numbers of its own, and what
      # only rules give it gets from them.
      module Copying
        module_function

        # @param table [Design::Table]
        # @param values [#[]] those of the original
        # @return [Hash{String=>Object}] raw input by field key
        def values(table, values)
          numbered = table.rules.select(&:numbers?).map(&:field)
          table
            .fields
            .reject { |field| table.rule_owned?(field.key) || numbered.include?(field.key) || values[field.key].nil? }
            .to_h { |field| [field.key, field.values.dump(values[field.key])] }
        end
      end
    end
  end
end
