# frozen_string_literal: true

require "csv"

module UpTack
  module Core
    module Decisions
      # A decision table as text: what is copied from a spreadsheet (tab separated)
      # or kept in a file (CSV after RFC 4180). The first line may name the columns.
      module TableText
        SEPARATORS = ["\t", ",", ";", "|"].freeze
        MOST_LINES = 1_000
        # What stands before the name of an output in the head of a file.
        ARROW = "→ "

        # columns:: one Column each; rows:: lists of texts; notes:: sentences on what was done or left
        Parsed = Struct.new(:columns, :rows, :notes, keyword_init: true)
        # head:: as it stood there, nil without a head; field:: key of the field that it
        #   names, nil for none; output:: whether it is set, as far as the head says so
        Column = Struct.new(:head, :field, :output, keyword_init: true)

        # A text that is no table; the message says why.
        class Invalid < StandardError; end

        module_function

        # @param text [String]
        # @param table [Design::Table]
        # @return [Parsed]
        # @raise [Invalid]
        def read(text, table)
          lines = cells(text.sub(/\A\u{FEFF}/, ""))
          raise Invalid, Messages["decisions.table_text.there_is_nothing_to_paste"] if lines.empty?
          if lines.length > MOST_LINES + 1
            raise Invalid,
              Messages[
                "decisions.table_text.decision_table_has_at_most_rows",
                most: MOST_LINES,
                lines: lines.length
              ]
          end

          width = lines.map(&:length).max
          heads = headed?(lines.first, table) ? lines.shift : nil
          columns = width.times.map { |index| column(heads && heads[index].to_s, table) }
          Parsed.new(
            columns: columns,
            rows: lines.map { |line| line + ([""] * (width - line.length)) },
            notes: notes(lines, width, columns)
          )
        end

        # @param rule [Kinds::Decision]
        # @param separator [String] a tab for a spreadsheet, a comma for a file
        # @return [String]
        def write(rule, table, separator: ",")
          heads = rule.columns(table).map(&:label) + rule.writes.map { |key| "#{ARROW}#{table.field(key).label}" }
          CSV.generate(col_sep: separator, row_sep: "\r\n") do |out|
            out << heads
            rule.rows.each { |row| out << row }
          end
        end

        def cells(text)
          separator = SEPARATORS.max_by { |sign| [text.lines.first.to_s.count(sign), -SEPARATORS.index(sign)] }
          CSV
            .parse(text, col_sep: separator, liberal_parsing: true)
            .map { |row| row.map { |cell| cell.to_s.strip } }
            .reject { |row| row.all?(&:empty?) }
        rescue CSV::MalformedCSVError => e
          raise Invalid,
            Messages[
              "decisions.table_text.cant_be_read_as_table",
              reason: e.message.sub(%r{ in line \d+\.?\z}, ""),
              line_number: e.line_number
            ]
        end

        # A first line that names at least half of its columns is a head.
        def headed?(line, table)
          named = line.reject(&:empty?)
          named.any? && named.count { |head| column(head, table).field } * 2 >= named.length
        end

        def column(head, table)
          return Column.new(head: nil, field: nil, output: nil) if head.nil?

          name = head.delete_prefix(ARROW.strip).strip
          Column.new(head: name, field: field(name, table)&.key, output: head.start_with?(ARROW.strip) || nil)
        end

        def field(name, table)
          folded = Unicode.folded(name)
          table.fields.find { |each| [each.label, each.key].any? { |known| Unicode.folded(known) == folded } }
        end

        def notes(lines, width, columns)
          ragged = lines.each_index.select { |index| lines[index].length < width }
          unknown = columns.select { |column| column.head.to_s != "" && column.field.nil? }.map(&:head)
          [
            (if ragged.any?
               Messages["decisions.table_text.shorter_than_others", count: ragged.length, row: ragged.first + 1]
             end),
            (if unknown.any?
               Messages[
                 "decisions.table_text.no_field_is_called",
                 unknown: Masks::Phrases.to_sentence(unknown.map { |head| Values::Plain.quoted(head) }, "or")
               ]
             end)
          ].compact
        end
      end
    end
  end
end
