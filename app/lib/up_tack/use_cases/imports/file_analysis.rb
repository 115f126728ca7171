# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Looks at a file: what its columns show, and to which fields of a table they belong.
      class FileAnalysis
        # Rows that are shown as they are read.
        SHOWN = 10

        # profiles:: one for each column; settings:: as guessed; rows:: how many there are, about
        # first_rows:: numbers and cells of some; set_again:: fields that rules will set, by columns called like them
        Found =
          Struct.new(:source, :profiles, :settings, :rows, :first_rows, :set_again, keyword_init: true) do
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
              source.notes + profiles.filter_map(&:doubt) + readings + profiles.flat_map(&:left_out)
            end

            private

            def open = settings.columns.reject { |taken| taken.field || WhyHeading.ours?(taken.column) }
          end
        def initialize(workspace)
          @workspace = workspace
        end

        # @param source [#each_row] from Interchange::Source
        # @param table [Core::Design::Table, nil] nil where a new one is to be made
        # @param known [Hash{String=>String}] fields of columns of which somebody said so already
        # @param as_was [Boolean] whether columns may belong to what rules have written down
        # @return [Found]
        # @raise [Interchange::Unreadable]
        def call(source, table, known: {}, as_was: false)
          reader = Interchange::CellText.new(@workspace.project.conventions)
          profiles = source.columns.map { |name| Interchange::Profile.new(name, reader) }
          most = Interchange::Profile.rows(profiles.length)
          last = count = 0
          first_rows = []
          source.each_row do |row, place|
            first_rows << [row.number, row.cells] if first_rows.length < SHOWN
            row.cells.each_with_index { |cell, index| profiles[index].add(cell, row.number) }
            last = place
            break if (count += 1) >= most
          end
          rows = (count < most) ? count : estimated(source.size.to_f / [last, 1].max * count)
          match = table && ColumnMatch.new(@workspace, table, as_was: as_was)
          fields = match ? match.call(profiles, known) : {}
          Found.new(
            source: source,
            profiles: profiles,
            settings: settings(profiles, fields),
            rows: rows,
            first_rows: first_rows,
            set_again: match ? match.written(profiles, fields) : {}
          )
        end

        private

        # No more figures than are true.
        def estimated(rows) = rows.round(1 - Math.log10(rows).floor)

        def settings(profiles, fields)
          # A column that does not tell is written as the others of its file are.
          usual = @workspace.project.conventions
          order = most(profiles.map(&:dates)) || usual.date_order
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
