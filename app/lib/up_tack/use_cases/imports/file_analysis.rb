# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Looks at a file: what its columns show, and to which fields of a table they belong.
      class FileAnalysis
        # profiles:: one for each column; settings:: as guessed; rows:: how many there are, about
        Found =
          Struct.new(:source, :profiles, :settings, :rows, keyword_init: true) do
            # @return [Array<String>] what people should know of how the file is read
            def notes
              readings =
                profiles
                  .zip(settings.columns)
                  .filter_map { |profile, taken| profile.reading(taken.dates) if profile.kinds.key?("date") }
              source.notes + profiles.filter_map(&:doubt) + readings
            end
          end
        # Share of a column's values that must be those of a choice or a link.
        ENOUGH = 0.6

        def initialize(workspace)
          @workspace = workspace
        end

        # @param source [#each_row] from Interchange::Source
        # @param table [Core::Design::Table, nil] nil where a new one is to be made
        # @return [Found]
        # @raise [Interchange::Unreadable]
        def call(source, table)
          known = Core::InternCache.new
          profiles = source.columns.map { |name| Interchange::Profile.new(name, known) }
          most = Interchange::Profile.rows(profiles.length)
          last = count = 0
          source.each_row do |row, place|
            row.cells.each_with_index { |cell, index| profiles[index].add(cell, row.number) }
            last = place
            break if (count += 1) >= most
          end
          rows = (count < most) ? count : estimated(source.size.to_f / [last, 1].max * count)
          Found.new(source: source, profiles: profiles, settings: settings(profiles, table), rows: rows)
        end

        private

        # No more figures than are true.
        def estimated(rows) = rows.round(1 - Math.log10(rows).floor)

        def settings(profiles, table)
          # A column that does not tell is written as the others of its file are.
          usual = @workspace.project.conventions
          order = most(profiles.map(&:dates)) || usual.date_order
          mark = most(profiles.map(&:decimals)) || usual.decimal_mark
          fields = table ? by_name(profiles, table).then { |found| by_content(profiles, table, found) } : {}
          columns =
            profiles.map do |profile|
              Taken.new(
                column: profile.name,
                field: fields[profile.name],
                dates: profile.date_order(order),
                decimal: profile.decimal_mark(mark)
              )
            end
          Settings.new(columns: columns, match: nil, blanks: "left")
        end

        def most(counts) =
          counts.reduce({}) { |sum, each| sum.merge(each) { |_, one, other| one + other } }.max_by(&:last)&.first

        def open_fields(table)
          numbered = table.rules.select(&:numbers?).map(&:field)
          table.fields.select do |field|
            (!table.rule_owned?(field.key) || numbered.include?(field.key)) && field.allows?(@workspace.person.role,
              :edit)
          end
        end

        def by_name(profiles, table)
          names =
            open_fields(table)
              .flat_map { |field| [[comparable(field.label), field.key], [comparable(field.key), field.key]] }
              .reverse
              .to_h
          taken = []
          profiles.each_with_object({}) do |profile, found|
            key = names[comparable(profile.name)]
            next if key.nil? || taken.include?(key)

            taken << key
            found[profile.name] = key
          end
        end

        def comparable(name) = Core::Unicode.folded(name).gsub(/[^\p{L}\p{N}]/, "")

        # A column without a known name belongs where its values do.
        def by_content(profiles, table, found)
          open = open_fields(table).reject { |field| found.value?(field.key) }
          profiles
            .reject { |profile| found.key?(profile.name) || profile.filled.zero? }
            .each do |profile|
              fitting = open.select { |field| fits?(profile, field) }
              next unless fitting.length == 1

              found[profile.name] = fitting.first.key
              open -= fitting
            end
          found
        end

        def fits?(profile, field)
          values = profile.distinct&.keys or return false
          known =
            if field.listed? then field.choices.map { |choice| Core::Unicode.folded(choice) }
            elsif field.link? then names(field.target)
            else return false
            end
          values.count { |value| known.include?(Core::Unicode.folded(value)) } >= values.length * ENOUGH
        end

        def names(table) =
          (@names ||= {})[table] ||= Store::NameIndex
            .find(@workspace.plan(table), @workspace.context)
            .names
            .to_set(&:folded)
      end
    end
  end
end
