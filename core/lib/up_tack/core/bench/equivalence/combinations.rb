# frozen_string_literal: true

module UpTack
  module Core
    module Bench
      class Equivalence
        # All that formulas over choices and ticks can ever see: each choice, yes, no and blank of every
        # field that they read, before a save and after it, of a new record and of one that was there.
        class Combinations
          include Enumerable

          MOST = 20_000
          Nodes = Expression::Nodes
          # What has more values than can be gone through.
          ENDLESS = [Nodes::Path, Nodes::Aggregate, Nodes::Person].freeze

          # @param table [Design::Table]
          # @param formulas [Array<Expression::Formula>]
          # @param before [Boolean] whether it counts what a record was, be it that no formula reads that
          # @return [Combinations, nil] nil where there are too many, or where other things count
          def self.build(table, formulas, before: false)
            nodes = []
            formulas.each { |formula| formula.tree.walk { |node| nodes << node } }
            keys = nodes.grep(Nodes::Field).map(&:key).uniq
            return if nodes.any? { |node| ENDLESS.include?(node.class) || (node.is_a?(Nodes::Field) && node.outside) }
            return if keys.empty? || formulas.any? { |formula| formula.fleeting.any? }

            fields = keys.map { |key| table.field(key) }
            return unless fields.all? { |field| field && (field.listed? || field.yes_no?) }

            before ||= formulas.any? { |formula| formula.tree.looks_back? }
            new(fields, before).then { |found| found if found.length <= MOST }
          end

          def initialize(fields, before)
            @fields = fields
            @before = before
          end

          # @return [Integer]
          def length = single * (@before ? single + 1 : 1)

          # @yield [Expression::Evaluation]
          def each
            records.each do |values|
              yield evaluation(values, nil)
              records.each { |old| yield evaluation(values, old) } if @before
            end
          end

          # Those of a record in which nothing changes.
          def unchanged = records.lazy.map { |values| evaluation(values, values) }

          # @return [String] "all 42 combinations of Stage and Firing, before and after"
          def words
            labels = Masks::Phrases.to_sentence(@fields.map(&:label))
            return "all #{length} combinations of #{labels}, before and after" if @before

            "all #{length} #{@fields.one? ? "values" : "combinations"} of #{labels}"
          end

          private

          def single = @fields.reduce(1) { |count, field| count * values_of(field).length }
          def values_of(field) = [*(field.listed? ? field.choices : [true, false]), nil]

          def records
            @records ||= begin
              first, *others = @fields.map { |field| values_of(field) }
              first.product(*others).map { |values| @fields.map(&:key).zip(values).to_h }
            end
          end

          def evaluation(values, old)
            Expression::Evaluation.new(values: values, old: old || {}, context: nil, is_new: old.nil?)
          end
        end
      end
    end
  end
end
