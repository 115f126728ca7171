# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Looks at a file: what its columns show, and to which fields of a table they belong.
      class FileAnalysis
        # seen:: LookAtRows::Seen; settings:: as guessed
        # set_again:: fields that rules will set, by columns called like them
        Found =
          Struct.new(:source, :seen, :settings, :set_again, keyword_init: true) do
            # @return [Array<Interchange::Profile>] one for each column
            def profiles = seen.profiles

            # @return [Integer] how many rows there are, about
            def rows = seen.rows

            # @return [Array<String>] columns that belong to no field, so that they are left out
            def left_out = open.map(&:column) - set_again.keys

            # @return [Array<String>] columns whose fields rules will set again
            def columns_set_again = open.map(&:column) & set_again.keys

            # @return [Array<String>] what people should know of how the file is read
            def notes
              readings =
                profiles
                  .zip(settings.columns)
                  .filter_map { |profile, taken| profile.reading(taken.dates) if profile.dated? }
              source.notes + broken + profiles.filter_map(&:doubt) + readings + profiles.flat_map(&:left_out)
            end

            private

            def broken
              return [] unless seen.first_broken

              row, problem = seen.first_broken
              [Core::Messages["imports.file_analysis.rows_cannot_be_read", count: seen.broken, row: row,
                problem: problem]]
            end

            def open = settings.columns.reject { |taken| taken.field || WhyHeading.ours?(taken.column) }
          end

        # @param workspace [Workspace]
        def initialize(workspace)
          @workspace = workspace
        end

        # @param source [#each_row] from Interchange::Source
        # @param table [Core::Design::Table, nil] nil where a new one is to be made
        # @param known [Hash{String=>String}] fields of columns of which somebody said so already
        # @param seen [LookAtRows::Seen, nil] what its rows have shown already; nil looks at the first ones
        # @param as_was [Boolean] whether columns may belong to what rules have written down
        # @return [Found]
        # @raise [Interchange::Unreadable]
        def call(source, table, known: {}, seen: nil, as_was: false)
          seen ||= LookAtRows.new(@workspace.project.conventions).call(source)
          match = table && ColumnMatch.new(@workspace, table, as_was: as_was)
          fields = match ? match.call(seen.profiles, known) : {}
          Found.new(
            source: source,
            seen: seen,
            settings: settings(seen.profiles, fields),
            set_again: match ? match.written(seen.profiles, fields) : {}
          )
        end

        private

        def settings(profiles, fields)
          # A column that does not tell is written as the others of its file are.
          usual = @workspace.project.conventions
          order = most(profiles.map { |profile| profile.dates.except("ymd") }) || usual.date_order
          mark = most(profiles.map(&:decimals)) || usual.decimal_mark
          told = WhyHeading.read(profiles.map(&:name))
          columns =
            profiles.each_with_index.map do |profile, index|
              dates, decimal = told[index]
              Taken.new(
                column: profile.name,
                field: fields[profile.name],
                dates: dates || profile.date_order(order),
                decimal: decimal || profile.decimal_mark(mark),
                unit: profile.unit,
                nothing: profile.nothing?,
                round: false
              )
            end
          Settings.new(columns: columns, match: nil, blanks: "left")
        end

        def most(counts) =
          counts.reduce({}) { |sum, each| sum.merge(each) { |_, one, other| one + other } }.max_by(&:last)&.first
      end
    end
  end
end
