# frozen_string_literal: true

module UpTack
  module Web
    module Render
      # Files that are brought in.
      module Import
        module_function

        # @param upload [UseCases::Imports::Uploads::Upload]
        # @param found [UseCases::Imports::FileAnalysis::Found]
        # @param table [Core::Design::Table, nil]
        # @param names [UseCases::Imports::KnownNames]
        def look(upload, found, table, names)
          source = found.source
          {
            id: upload.id,
            name: upload.name,
            format: source.format,
            rows: found.rows,
            looked_at: found.seen.looked_at,
            whole: found.seen.whole,
            notes: found.notes,
            encoding: nil,
            delimiter: nil,
            sheets: [],
            sheet: nil,
            heading: 0,
            **source.read_as,
            first_rows: found.seen.first_rows.map { |number, cells| {row: number, cells: cells.map { text(_1) }} },
            columns: found.profiles.zip(found.settings.columns).map do |profile, taken|
              {**column(profile, taken), written: written(found.set_again[taken.column], table)}
            end,
            proposed:
              (table ? [] : UseCases::Imports::NewTable.propose(found.profiles, names))
                .map do |each|
                  {
                    column: each.column,
                    label: each.label,
                    type: each.type,
                    choices: each.choices,
                    values: each.values,
                    format: each.format,
                    target: each.target && {key: each.target.key, label: each.target.label},
                    rules: each.rules.map(&:to_h)
                  }
                end
          }
        end

        # The field of a column's name that only rules set, and whether it can come as it was.
        def written(field, table)
          return unless field

          {
            field: field.key,
            label: field.label,
            as_was: UseCases::Imports::ColumnMatch.written_down?(table, field)
          }
        end

        def text(cell) = Core::Values::Plain.cut(Interchange::Profile.text(cell), 60)

        def column(profile, taken)
          {
            column: taken.column,
            field: taken.field,
            ours: UseCases::Imports::WhyHeading.ours?(taken.column),
            dates: taken.dates,
            decimal: taken.decimal,
            kind: profile.kind_of_all,
            filled: profile.filled,
            blank: profile.blank,
            samples: profile.samples.map { |text| Core::Values::Plain.cut(text, 60) },
            dated: profile.dated?,
            nothing: taken.nothing,
            says_nothing: profile.kinds.key?("nothing"),
            long: profile.long?,
            decimals: profile.decimals.any?
          }
        end

        # @param result [UseCases::Imports::Run::Result]
        # @param table [Core::Design::Table]
        # @param visible [Core::Design::Visibility] of whoever asks
        def result(result, table, visible) =
          {made: result.made, changed: result.changed, report: Report.render(result.report, table, visible)}
      end
    end
  end
end
