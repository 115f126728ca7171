# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # What became of many records, or would.
      module Report
        module_function

        # @param report [UseCases::Bulk::Report]
        # @param table [Core::Design::Table]
        # @param visible [Core::Design::Visibility] of whoever asks
        # @return [Hash]
        def render(report, table, visible)
          {
            looked_at: report.looked_at,
            saved: report.batch ? report.saved : 0,
            passing: report.saved,
            unchanged: report.unchanged,
            refused: report.refused_count,
            batch: report.batch&.id,
            by_rule:
              report
                .by_rule
                .map { |rule, count| {rule: rule, name: name(rule, table, visible), count: count} }
                .sort_by { |each| -each[:count] },
            not_choices: not_choices(report, table, visible),
            refusals:
              report.refused.map do |each|
                {**each.to_h, refusals: each.refusals.map { |refusal| refusal(refusal, table, visible) }}
              end,
            changes:
              report.shown.map do |each|
                {
                  id: (each.id unless each.made && report.batch.nil?),
                  title: each.title,
                  changes:
                    each
                      .changes
                      .select { |change| visible.field?(table.field(change[:field])) }
                      .map { |change| change(change, table, visible) }
                }
              end
          }
        end

        # @return [Array<Hash>] texts by fields, of those that may be seen
        def not_choices(report, table, visible)
          seen = report.not_choices.select { |key, texts| texts.any? && visible.field?(table.field(key)) }
          seen.map { |key, texts| {field: key, texts: texts} }
        end

        def refusal(refusal, table, visible)
          rule = refusal[:rule] && table.rule(refusal[:rule])
          hidden = !visible.field?(table.field(refusal[:field].to_s))
          return refusal if !hidden && (rule.nil? || visible.rule?(rule, table))

          {**refusal, field: hidden ? nil : refusal[:field], message: Core::Design::Visibility::SILENT}
        end

        def change(change, table, visible)
          rule = change[:rule] && table.rule(change[:rule])
          {**change, rule: (rule.nil? || visible.rule?(rule, table)) ? change[:rule] : nil}
        end

        def name(id, table, visible)
          rule = id && table.rule(id)
          return Core::Design::Visibility::SILENT if rule && !visible.rule?(rule, table)

          rule&.name || rule&.sentence(table)
        end
      end
    end
  end
end
