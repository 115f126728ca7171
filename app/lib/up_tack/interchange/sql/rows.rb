# frozen_string_literal: true

module UpTack
  module Interchange
    module Sql
      # The rows that INSERT and COPY bring.
      class Rows
        INSERT = /\A(?:\s|--[^\n]*\n|\/\*.*?\*\/)*(?:insert|replace)\s+(?:or\s+\w+\s+|ignore\s+)*into\s+/im
        COPY = /\A\s*copy\s+/i
        SINGLE = /"(?:[^"]|"")*"|`[^`]*`|[\p{L}_][\p{L}\p{N}_$]*/
        NAME = /(?:#{SINGLE})(?:\s*\.\s*(?:#{SINGLE}))*/

        # @param escapes [Boolean] see Statements#escapes?
        # @param name [String] of the file, for people
        def initialize(escapes:, name:)
          @escapes = escapes
          @name = name
        end

        # @param statement [String]
        # @yield [String, Array<String>, Array<Object>] a table, columns (none where all are meant) and values
        # @return [Boolean] whether it was one that brings rows
        def of_insert(statement)
          return false unless statement.match?(INSERT)

          scan = StringScanner.new(statement)
          scan.skip(INSERT)
          table, columns = head(scan)
          scan.skip(/\s*(?:overriding\s+\w+\s+value\s*)?values?\s*/i) or return false
          loop do
            values = tuple(scan) or raise Unreadable, Core::Messages["interchange.sql.row_is_not_sound",
              name: @name, table: table, text: scan.rest[0, 60]]
            yield table, columns, values
            break unless scan.skip(/\s*,/)
          end
          true
        end

        # @param statement [String]
        # @return [Array(String, Array<String>), nil] table and columns, of which rows follow
        def copied(statement)
          return unless statement.match?(Statements::COPY)

          scan = StringScanner.new(statement)
          scan.skip(COPY)
          head(scan)
        end

        # @param line [String] of rows that are copied
        # @return [Array<String, nil>]
        def of_line(line) =
          line.split("\t", -1).map do |cell|
            next if cell == "\\N"

            Literals.unescaped(cell)
          end

        private

        def head(scan)
          table = Tokens.new(scan.scan(NAME).to_s).name
          scan.skip(/\s*/)
          columns = scan.check(/\(/) ? Tokens.new(scan.scan(/\([^)]*\)/).to_s).names : []
          [table, columns]
        end

        def tuple(scan)
          scan.skip(/\s*\(/) or return
          values = []
          loop do
            values << Literals.value(scan, @escapes)
            scan.skip(/\s*/)
            return values if scan.skip(/\)/)

            scan.skip(/,/) or return
          end
        end
      end
    end
  end
end
