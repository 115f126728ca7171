# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # Files with several tables, for builders.
      module Collection
        # Rows that are told with why they were refused, of each table.
        SHOWN = 20

        module_function

        # @param upload [UseCases::Imports::Uploads::Upload]
        # @param found [Interchange::Collection::Found]
        # @param tables [Array<UseCases::Imports::Collections::Proposed>]
        # @return [Hash]
        def look(upload, found, tables) =
          {id: upload.id, name: upload.name, kind: found.kind, notes: found.notes, tables: tables.map { table(_1) }}

        def table(proposed)
          {
            **proposed.to_h.except(:fields, :rules),
            fields: proposed.fields.map { |field| field(field) },
            rules: proposed.rules.map(&:to_h)
          }
        end

        def field(field)
          {
            **field.to_h,
            samples: field.samples.first(3).map { |text| Core::Values::Plain.cut(text, 60) },
            rules: field.rules.map(&:to_h)
          }
        end

        # @param result [UseCases::Imports::ImportCollection::Result]
        # @return [Hash]
        def result(result) = {batch: result.batch&.id, tables: result.tables.map { |each| told(each) }}

        def told(table)
          report = table.report
          {
            **table.to_h.slice(:number, :key, :label, :made, :notes),
            refused: report.refused_count,
            by_rule: table.by_rule.map(&:to_h),
            not_choices: report.not_choices.map { |field, texts| {field: field, texts: texts} },
            refusals: report.refused.first(SHOWN).map do |each|
              {row: each.place, title: each.title, messages: each.refusals.map { |refusal| refusal[:message] }}
            end
          }
        end
      end
    end
  end
end
