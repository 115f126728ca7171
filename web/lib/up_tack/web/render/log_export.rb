# frozen_string_literal: true

require "csv"

module UpTack
  module Web
    module Render
      # The change log as a file: a line for each changed field, or each entry as JSON; at the end the signed
      # head of the log, by which it can be compared with the log later.
      class LogExport
        COLUMNS = [
          "Entry",
          "Date and time (UTC)",
          "At the firm",
          "Person",
          "Source",
          "What",
          "Table",
          "Record",
          "Name",
          "Field",
          "Before",
          "After",
          "Rule",
          "Seal"
        ].freeze

        # @param workspace [Workspace]
        def initialize(workspace)
          @entries = Entry.new(workspace)
        end

        # @param history [UseCases::History::Entries]
        # @yield [String] part after part
        def csv(history)
          yield "\uFEFF#{CSV.generate_line(COLUMNS)}"
          history.each_batch do |batch|
            yield batch.zip(@entries.all(batch)).flat_map { |entry, shown| lines(entry, shown) }.join
          end
          head = UseCases::History::Entries.head
          yield CSV.generate_line(["up to #{head["entry"]}", *Array.new(COLUMNS.length - 2), JSON.generate(head)])
        end

        # @yield [String]
        def json(history)
          yield "["
          first = true
          history.each_batch do |batch|
            batch.zip(@entries.all(batch)).each do |entry, shown|
              yield "#{"," unless first}\n#{JSON.generate(shown.merge(seal: entry.seal))}"
              first = false
            end
          end
          yield "#{"," unless first}\n#{JSON.generate({head: UseCases::History::Entries.head})}\n]\n"
        end

        private

        def lines(entry, shown)
          begun = [
            entry.id,
            shown[:made_at],
            "#{shown[:day_text]} #{shown[:at_text]}",
            shown[:person],
            shown[:channel],
            shown[:action],
            shown[:table_label],
            shown[:record],
            shown[:title]
          ]
          changes = shown[:changes].empty? ? [{}] : shown[:changes]
          changes.map do |change|
            CSV.generate_line(
              [*begun, change[:field], change[:before], change[:after], change[:rule], entry.seal].map do |cell|
                harmless(cell)
              end
            )
          end
        end

        # What a spreadsheet would take for a formula is set behind an apostrophe.
        def harmless(cell) = Interchange::Writers.harmless(cell)
      end
    end
  end
end
