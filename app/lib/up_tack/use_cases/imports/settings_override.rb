# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Settings as they are sent or typed, plain, over those that were guessed.
      module SettingsOverride
        ORDERS = %w[dmy mdy ymd].freeze
        MARKS = %w[. ,].freeze

        module_function

        # @param guessed [Settings]
        # @param plain [Hash{String=>Object}] "columns" => [{"column", "field", "dates", "decimal"}], "match", "blanks"
        # @return [Settings]
        # @raise [Core::Invalid]
        def over(guessed, plain)
          overrides = (plain["columns"] || []).to_h { |each| [each["column"], each] }
          columns = guessed.columns.map { |taken|
            overrides.key?(taken.column) ? changed(taken, overrides[taken.column]) : taken
          }
          blanks = plain["blanks"] || guessed.blanks
          unless %w[left kept].include?(blanks)
            Core::Invalid.because(Core::Messages["imports.settings_override.blanks_is_left_or_kept"], part: "blanks")
          end
          Settings.new(
            columns: columns,
            match: plain["match"].to_s.empty? ? nil : plain["match"].to_s,
            blanks: blanks
          )
        end

        def changed(taken, plain)
          field = plain.key?("field") ? plain["field"] : taken.field
          dates, decimal = plain["dates"] || taken.dates, plain["decimal"] || taken.decimal
          sound = (field.nil? || field.is_a?(String)) && ORDERS.include?(dates) && MARKS.include?(decimal)
          unless sound
            Core::Invalid.because(
              Core::Messages["imports.settings_override.what_is_said_of_column_makes", column: taken.column],
              part: "columns"
            )
          end

          Taken.new(column: taken.column, field: field, dates: dates, decimal: decimal)
        end
      end
    end
  end
end
