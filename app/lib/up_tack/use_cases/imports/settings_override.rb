# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Settings as they are sent or typed, plain, over those that were guessed.
      module SettingsOverride
        module_function

        # @param guessed [Settings]
        # @param settings [Hash{String=>Object}] "match", "blanks", "as_was" and "columns", for each "column", and where
        #   they are told "field", "dates", "decimal", "nothing" and "round"
        # @return [Settings]
        # @raise [Core::Invalid]
        def over(guessed, settings)
          overrides = (settings["columns"] || []).to_h { |each| [each["column"], each] }
          columns = guessed.columns.map { |taken|
            overrides.key?(taken.column) ? changed(taken, overrides[taken.column]) : taken
          }
          blanks = settings["blanks"] || guessed.blanks
          unless %w[left kept].include?(blanks)
            Core::Invalid.because(Core::Messages["imports.settings_override.blanks_is_left_or_kept"], part: "blanks")
          end
          Settings.new(
            columns: columns,
            match: settings["match"].to_s.empty? ? nil : settings["match"].to_s,
            blanks: blanks,
            as_was: settings["as_was"] == true
          )
        end

        def changed(taken, settings)
          field = settings.key?("field") ? settings["field"] : taken.field
          dates, decimal = settings["dates"] || taken.dates, settings["decimal"] || taken.decimal
          sound = (field.nil? || field.is_a?(String)) && Interchange::CellText::ORDERS.include?(dates) &&
            Interchange::CellText::MARKS.include?(decimal)
          unless sound
            Core::Invalid.because(
              Core::Messages["imports.settings_override.what_is_said_of_column_makes", column: taken.column],
              part: "columns"
            )
          end

          Taken.new(
            column: taken.column,
            field: field,
            dates: dates,
            decimal: decimal,
            unit: taken.unit,
            nothing: settings.fetch("nothing", taken.nothing) == true,
            round: settings.fetch("round", taken.round) == true
          )
        end
      end
    end
  end
end
