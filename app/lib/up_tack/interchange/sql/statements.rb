# frozen_string_literal: true

module UpTack
  module Interchange
    module Sql
      # The statements of a file, one after the other, and the rows that stand between them where they are copied
      # (COPY … FROM stdin). No more of a file is read at a time than its longest statement.
      class Statements
        BLOCK = 1 << 20
        # Bytes of one statement at most.
        LONGEST = 128 << 20
        # Bytes that a special sign may have.
        TAIL = 80
        SPECIAL = /['"`;]|--|\/\*|\$\w*\$|#/n
        COPY = /\A\s*copy\s.+\sfrom\s+stdin\b/im
        TRIGGER = /\A\s*create\s+(?:or\s+replace\s+)?(?:temp\w*\s+|definer\S*\s+)?trigger\b/i
        # Lines before a statement: comments, and what a program beside the database is told, such as \connect.
        BEFORE = %r{\A(?:\s*(?:(?:--[^\n]*|\\[a-z]+[^\n]*)(?:\n|\z)|/\*(?!!).*?\*/))+}mn
        MYSQL = /engine\s*=|\/\*!\d{5}|insert into `|^-- (?:mysql|mariadb) dump/i

        # @param path [String]
        # @param name [String] under which people know the file
        def initialize(path, name)
          @path = path
          @name = name
          head = File.binread(path, BLOCK).to_s
          @mysql = head.match?(MYSQL) && !head.match?(/\A(?:--[^\n]*\s+)*pragma\s/i)
        end

        # @return [Boolean] whether a backslash in a text escapes what stands behind it
        def escapes? = @mysql

        # @yield [Symbol, String] :statement, or :row for a line of rows
        # @raise [Unreadable]
        def each(&block)
          File.open(@path, "rb") do |file|
            @file = file
            @buffer = "".b
            @start = @at = 0
            nil while step(&block)
          end
        end

        private

        # @return [Boolean] whether there may be more
        def step(&block)
          found = @buffer.index(SPECIAL, @at)
          return more?([@buffer.length - TAIL, @at].max) || last(&block) unless found

          finish = finish(found)
          if finish.nil?
            return true if more?(found)

            raise Unreadable, Core::Messages["interchange.sql.ends_within_text", name: @name]
          end
          @at = finish
          ended(&block) if @buffer.getbyte(found) == 59
          true
        end

        # @return [Integer, nil] where that ends which begins at a place; nil where it is not read as far
        def finish(found)
          case (sign = @buffer[found, 2])
          when /\A;/ then found + 1
          when "--" then end_of_line(found)
          when "/*" then @buffer.index("*/", found + 2)&.+(2)
          when /\A#/ then @mysql ? end_of_line(found) : found + 1
          when /\A\$/ then dollar(found)
          else quoted(sign[0], found)
          end
        end

        def end_of_line(found) = @buffer.index("\n", found) || (@file.eof? ? @buffer.length : nil)

        def dollar(found)
          tag = @buffer.match(/\G\$\w*\$/n, found)[0]
          return found + 1 if @mysql

          @buffer.index(tag, found + tag.length)&.+(tag.length)
        end

        def quoted(sign, found)
          escaped = sign != "`" && (@mysql || (sign == "'" && @buffer[found - 1, 1].match?(/e/i) &&
            !@buffer[[found - 2, 0].max, 1].match?(/\w/)))
          return @buffer.index(sign, found + 1)&.+(1) unless escaped

          at = found + 1
          while (at = @buffer.index(/[\\#{sign}]/n, at))
            return at + 1 unless @buffer.getbyte(at) == 92

            at += 2
          end
        end

        # What was looked at is not looked at again.
        def more?(from)
          return false if @file.eof?

          if @buffer.length - @start > LONGEST
            raise Unreadable, Core::Messages["interchange.sql.statement_is_too_long", name: @name]
          end

          @buffer = @buffer.byteslice(@start..)
          @at = [from - @start, 0].max
          @start = 0
          @buffer << @file.read(BLOCK)
          true
        end

        def ended(&block)
          statement = @buffer.byteslice(@start, @at - @start - 1).sub(BEFORE, "")
          return if statement.match?(TRIGGER) && open?(statement)

          @start = @at
          tell(statement, &block)
          copied(&block) if statement.match?(COPY)
        end

        def last(&block)
          rest = @buffer.byteslice(@start..).sub(BEFORE, "")
          tell(rest, &block) unless rest.strip.empty?
          false
        end

        # A trigger has statements of its own, between BEGIN and END.
        def open?(statement)
          plain = statement.gsub(/'(?:[^']|'')*'|--[^\n]*/n, "")
          begun = plain.scan(/\b(?:begin|case)\b/i).length
          begun.positive? && plain.scan(/\bend\b/i).length < begun
        end

        def copied
          @buffer = @buffer.byteslice(@start..)
          @start = @at = 0
          next_line # what is left of the command's own
          while (line = next_line)
            break if line == "\\."

            yield :row, text(line)
          end
        end

        # @return [String, nil] without its end; nil where there is none
        def next_line
          until (finish = @buffer.index("\n", @at))
            break if @file.eof?

            @buffer = @buffer.byteslice(@at..) << @file.read(BLOCK)
            @at = 0
          end
          return if finish.nil? && @at == @buffer.length

          finish ||= @buffer.length
          found = @buffer.byteslice(@at, finish - @at).delete_suffix("\r")
          @start = @at = [finish + 1, @buffer.length].min
          found
        end

        def tell(statement) = yield(:statement, text(statement))

        # What is not UTF-8 is what databases had before it, or no text: what stands beside it is as it was.
        def text(bytes)
          found = bytes.dup.force_encoding(Encoding::UTF_8).scrub do |part|
            part.force_encoding(Encoding::Windows_1252).encode(Encoding::UTF_8, undef: :replace, invalid: :replace)
          end
          found.delete_prefix("\uFEFF")
        end
      end
    end
  end
end
