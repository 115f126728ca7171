# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class Equivalence
        # What two decision tables over the same inputs give, case by case: the inputs are cut where the
        # cells of either can tell them apart, and every combination is looked up in both.
        class Cases
          include Enumerable

          MOST = 20_000

          # @param rule [Kinds::Decision]
          # @param other [Kinds::Decision] with the same inputs and outputs
          # @param table [Design::Table]
          # @return [Cases, nil] nil where there are too many to go through
          def self.build(rule, other, table)
            made = new(rule, other, table)
            made if made.whole?
          end

          def initialize(rule, other, table)
            @rules = [rule, other]
            reading = ParseContext.new(conventions: Conventions.from({}))
            @rows = @rules.map { |each| Decisions::TableParser.new(each, table, reading).rows }
            @axes = Decisions::Axis.build(rule.columns(table), @rows.flatten, table)
          end

          # @return [Boolean] whether every combination is gone through
          def whole? = @axes.none?(&:partial?) && @axes.reduce(1) { |count, axis| count * axis.points.length } <= MOST

          # @yield [Array(Object, Object)] what each of the two gives: outputs as they are written,
          #   or what becomes of the fields where no row fits
          def each
            first, *others = @axes.map(&:points)
            first.product(*others) do |points|
              inputs = inputs_of(points)
              yield @rules.zip(@rows).map { |rule, rows| given(rule, rows, inputs) }
            end
          end

          private

          def inputs_of(points)
            @axes.zip(points).each_with_object([]) do |(axis, point), inputs|
              axis.columns.zip(point.values) { |column, value| inputs[column] = value }
            end
          end

          def given(rule, rows, inputs)
            place = rows.index { |row| row.cells.zip(inputs).all? { |cell, value| cell.fits?(value) } }
            place ? rule.rows[place].drop(rule.inputs.length) : {otherwise: rule.clears?}
          end
        end
      end
    end
  end
end
