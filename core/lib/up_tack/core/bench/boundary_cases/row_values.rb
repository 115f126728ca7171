# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class BoundaryCases
        # Values of a decision table's inputs for which one of its rows decides, or none: found column by column,
        # so that a table of forty rows and six inputs takes as long as it has cells, and not as long as it has
        # combinations.
        class RowValues
          # @param regions [Array<Array<Object>>] for each input, one value of each stretch that its cells tell apart
          # @param rows [Array<#cells>] in their order
          def initialize(regions, rows)
            @regions = regions
            @rows = rows
          end

          # @param wanted [Integer, nil] place of the row that is to decide; nil for none
          # @return [Array<Object>, nil] a value for each input; nil where there is no such combination
          def find(wanted)
            others = wanted ? @rows.first(wanted) : @rows
            @candidates =
              @regions.each_with_index.map do |values, column|
                wanted ? values.select { |value| @rows[wanted].cells[column].fits?(value) } : values
              end
            @failed = Set.new
            @candidates.any?(&:empty?) ? nil : choose(0, others)
          end

          private

          # @param alive [Array<#cells>] rows that would decide first, as far as the values chosen so far let them
          def choose(column, alive)
            return @candidates.drop(column).map(&:first) if alive.empty?
            return if column == @candidates.length || !@failed.add?([column, alive.map(&:object_id)])

            # First the value by which most of those rows drop out.
            @candidates[column]
              .map { |value| [value, alive.select { |row| row.cells[column].fits?(value) }] }
              .sort_by { |_, left| left.length }
              .each do |value, left|
                found = choose(column + 1, left)
                return value, *found if found
              end
            nil
          end
        end
      end
    end
  end
end
