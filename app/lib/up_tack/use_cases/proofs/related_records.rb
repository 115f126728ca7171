# frozen_string_literal: true

module UpTack
  module UseCases
    module Proofs
      # What made-up records take from the real ones: records that links can lead to, and
      # what a table's records are like.
      class RelatedRecords
        # Real records that a link is tried with.
        FEW = 5

        def initialize(workspace)
          @workspace = workspace
        end

        # @param table [Core::Design::Table]
        # @return [Hash{String=>Hash{Integer=>Hash}}] values of some records, by table, as far
        #   as links lead from the table
        def records(table, depth: 3)
          found = {}
          pending = [[table, depth]]
          while (design, left = pending.shift)
            (
              design.fields.select(&:link?).map(&:target) +
                design.rules.select(&:looks_up?).map { |rule| rule.attributes["target"] }
            ).uniq.each do |key|
              target = @workspace.project.table(key)
              next if left.zero? || found.key?(target.key) || target.key == table.key

              found[target.key] = some(target)
              pending << [target, left - 1]
            end
          end
          found
        end

        # @param table [Core::Design::Table]
        # @return [Core::Bench::Samples::Profile]
        def profile(table)
          rows = []
          Store::RecordTable
            .new(table, table.kept_fields)
            .each_batch do |batch|
              rows.concat(batch.map(&:last))
              break if rows.length >= Core::Bench::Samples::Profile::MOST_RECORDS
            end
          Core::Bench::Samples::Profile.new(table, rows.first(Core::Bench::Samples::Profile::MOST_RECORDS))
        end

        # @param table [Core::Design::Table]
        # @return [Hash{String=>Array<Object>}] values that are there elsewhere, by key of a
        #   field of the table that must be among them
        def there(table, limit = FEW)
          table
            .rules
            .select(&:looks_up?)
            .to_h do |rule|
              attributes = rule.attributes
              target = @workspace.project.table(attributes["target"])
              found = []
              Store::RecordTable
                .new(target)
                .each_batch(keys: [attributes["target_field"]]) do |batch|
                  found = batch.filter_map { |_, values| values[attributes["target_field"]] }.first(limit)
                  break
                end
              [rule.field, found]
            end
        end

        private

        def some(table)
          rows = []
          Store::RecordTable
            .new(table)
            .each_batch do |batch|
              rows = batch.first(FEW)
              break
            end
          rows.to_h do |id, values|
            [
              id,
              table
                .kept_fields
                .reject { |field| table.worked_out?(field.key) }
                .to_h { |field| [field.key, values[field.key]] }
            ]
          end
        end
      end
    end
  end
end
