# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What became of many records, or would.
      module Report
        module_function

        # @param report [UseCases::Bulk::Report]
        # @param table [Core::Design::Table]
        # @return [Hash]
        def of(report, table)
          {
            looked_at: report.looked_at, saved: report.saved, unchanged: report.unchanged, refused: report.refused_count, batch: report.batch&.id,
            by_rule: report.by_rule.map { |rule, count| {rule: rule, name: name(rule, table), count: count} }.sort_by { |each| -each[:count] },
            refusals: report.refused.map(&:to_h), changes: report.shown.map(&:to_h)
          }
        end

        def name(id, table)
          rule = id && table.rule(id)
          rule&.name || rule&.then { |found| found.respond_to?(:sentence) ? found.sentence(table) : nil }
        end
      end
    end
  end
end
