# frozen_string_literal: true

module UpTack
  module UseCases
    module Effects
      # How many old records are still let be by each rule that lets them: they do
      # not hold to it, and nobody has edited them since.
      class CountExempt
        # Counts, until a record or the design changes.
        KNOWN = Services::QueryCache.new(200)

        def initialize(workspace)
          @workspace = workspace
        end

        # @return [Hash{String=>Integer}] by rule id
        def call(table:)
          design = @workspace.table(table)
          rules =
            design.rules.select do |rule|
              rule.lets_old? && @workspace.visibility.rule?(rule, design)
            end
          rules.to_h do |rule|
            [
              rule.id,
              KNOWN.fetch([Store::Database.path, @workspace.revision_id, Store::ChangeLog.latest, rule.id]) do
                count(design, rule)
              end
            ]
          end
        end

        private

        def count(design, rule)
          sight = Effects.for(design, rule, @workspace)
          rows = Store::RecordTable.new(design)
          sight.begin(rows)
          open = 0
          rows.each_batch(keys: sight.columns) do |batch|
            sight.prepare(batch)
            open += batch.count { |id, values| sight.verdict(id, values) == "refused" }
          end
          open
        end
      end
    end
  end
end
