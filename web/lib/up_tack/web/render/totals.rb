# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What records come to, field by field, as people read it.
      module Totals
        module_function

        # @param found [Records::ComputeTotals::Result]
        # @param table [Core::Design::Table]
        # @return [Hash]
        def render(found, table)
          {
            total: found.total,
            matching: found.matching,
            fields:
              found
                .fields
                .flat_map do |key, total|
                  known(table.field(key)).product([one(total, table.field(key), found.matching)])
                end
                .to_h
          }
        end

        # The keys by which programs know a field.
        def known(field) = [field.key, *field.aliases]

        def one(total, field, matching)
          shown = ->(value) { value.nil? ? nil : field.show(value) }
          {
            filled: total.filled,
            blank: matching - total.filled,
            sum: total.sum && field.show(Core::Numbers.normalize(total.sum)),
            average: total.average && average(total.average, field),
            least: shown.call(total.least),
            greatest: shown.call(total.greatest)
          }
        rescue Core::Numbers::TooLarge
          {filled: total.filled, blank: matching - total.filled, sum: nil, average: nil, least: nil, greatest: nil}
        end

        # An average says more than the values that it comes from.
        def average(value, field)
          places = (field.decimals || 0) + 2
          Core::Values.show(Core::Numbers.round(value, places), field.conventions)
        end
      end
    end
  end
end
