# frozen_string_literal: true

module UpTack
  module UseCases
    module Imports
      # Goes through the rows of a file once, the first ones or all, and notes what its columns show.
      class LookAtRows
        # Rows that are shown as they are read.
        SHOWN = 10
        # Rows between two tellings of how far it is.
        STEP = 500

        # What was seen. profiles:: one for each column; rows:: how many there are, about; looked_at:: at how many
        # whole:: whether at all; first_rows:: numbers and cells of some
        # broken:: how many can't be read; first_broken:: number and problem of the first of these
        Seen = Struct.new(:profiles, :rows, :looked_at, :whole, :first_rows, :broken, :first_broken, keyword_init: true)

        # @param conventions [Core::Conventions] the firm's
        # @param name [String] of the file, for whoever waits
        # @param progress [Progress]
        def initialize(conventions, name: "", progress: Progress.none)
          @conventions = conventions
          @name = name
          @progress = progress
        end

        # @param source [#each_row] from Interchange::Source
        # @param whole [Boolean] whether all rows are looked at
        # @return [Seen]
        # @raise [Interchange::Unreadable, Progress::Stopped]
        def call(source, whole: false)
          names = source.columns
          reader = Interchange::CellText.new(@conventions)
          profiles = names.map { |name| Interchange::Profile.new(name, reader, names.length) }
          most = whole ? Float::INFINITY : Interchange::Profile.rows(names.length)
          last = count = broken = 0
          first_rows = []
          first_broken = nil
          source.each_row do |row, place|
            first_rows << [row.number, row.cells] if first_rows.length < SHOWN
            broken += 1 if row.problem
            first_broken ||= [row.number, row.problem] if row.problem
            row.cells.each_with_index { |cell, index| profiles[index].add(cell, row.number) }
            last = place
            count += 1
            tell(count, last, source.size) if (count % STEP).zero?
            break if count >= most
          end
          seen_all = count < most
          rows = seen_all ? count : estimated(source.size.to_f / [last, 1].max * count)
          Seen.new(profiles: profiles, rows: rows, looked_at: count, whole: seen_all, first_rows: first_rows,
            broken: broken, first_broken: first_broken)
        end

        private

        def tell(count, place, size)
          @progress.begin(@name, "All rows", estimated(size.to_f / [place, 1].max * count)) if count == STEP
          @progress.advance(STEP)
        end

        # No more figures than are true.
        def estimated(rows) = rows.round(1 - Math.log10(rows).floor)
      end
    end
  end
end
