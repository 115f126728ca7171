# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      module Samples
        # What the records of a table that exist are like: which values a field has and
        # how often, between what its numbers and days lie, how much of it is blank.
        class Profile
          # Records looked at, and different values remembered of a field.
          MOST_RECORDS = 500
          MOST_VALUES = 60

          # Of one field.
          # values:: [value, how often]; low, high:: of numbers, days and moments; blank:: share from 0 to 1
          About = Struct.new(:values, :low, :high, :blank, keyword_init: true)

          # @param table [Design::Table]
          # @param records [Array<#[]>] values of some records, none is enough
          def initialize(table, records)
            @about =
              table
                .fields
                .reject { |field| table.worked_out?(field.key) }
                .to_h { |field| [field.key, about(records.map { |record| record[field.key] })] }
          end

          # @return [About]
          def [](key) = @about.fetch(key) { About.new(values: [], low: nil, high: nil, blank: 0.3) }

          private

          def about(values)
            return About.new(values: [], low: nil, high: nil, blank: 0.3) if values.empty?

            filled = values.compact
            ends =
              if filled.first.is_a?(BigDecimal) || filled.first.is_a?(::Date) || filled.first.is_a?(::Time)
                filled.minmax
              else
                [nil, nil]
              end
            About.new(
              values: filled.tally.first(MOST_VALUES),
              low: ends.first,
              high: ends.last,
              blank: (values.length - filled.length).fdiv(values.length)
            )
          end
        end
      end
    end
  end
end
