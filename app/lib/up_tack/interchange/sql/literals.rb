# frozen_string_literal: true

module UpTack
  module Interchange
    module Sql
      # Values as they stand in statements.
      module Literals
        ESCAPED = {"n" => "\n", "r" => "\r", "t" => "\t", "0" => "", "b" => "\b", "f" => "\f", "Z" => "\x1A"}.freeze
        FIGURES = /[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/i
        NUMBER = /#{FIGURES}(?=\s*(?:[,):]|\z))/
        # Values that are not text, and were left out.
        LEFT = Object.new.freeze

        module_function

        # @param quoted [String] with its quotation marks
        # @param escapes [Boolean] whether a backslash is one
        # @return [String]
        def text(quoted, escapes)
          inner = quoted[1..].delete_suffix("'").gsub("''", "'")
          escapes ? unescaped(inner) : inner
        end

        # @return [String]
        def unescaped(text)
          return text unless text.include?("\\")

          text.gsub(/\\(?:u([0-9A-Fa-f]{4})|x([0-9A-Fa-f]{1,2})|([0-7]{3})|(.))/m) do
            next [($1 || $2).hex].pack("U") if $1 || $2
            next [$3.oct].pack("U") if $3

            ESCAPED.fetch($4, $4)
          end
        end

        # @param scan [StringScanner] where a value begins
        # @param escapes [Boolean]
        # @return [String, Number, true, false, nil, LEFT]
        def value(scan, escapes)
          scan.skip(/\s+/)
          found = plain(scan, escapes)
          scan.skip(/\s*::\s*[\w"]+(?:\s*\(\s*\d+(?:\s*,\s*\d+)*\s*\)|\s+varying|\s+with(?:out)? time zone)*(?:\[\])?/)
          found
        end

        def plain(scan, escapes)
          if scan.skip(/null\b/i) then nil
          elsif (number = scan.scan(NUMBER)) then Number.new(number)
          elsif scan.check(/'/) || scan.skip(/(?:n|_[a-z]\w*\s*)(?=')/i) then string(scan, escapes)
          elsif scan.skip(/e(?=')/i) then string(scan, true)
          elsif scan.skip(/true\b/i) then true
          elsif scan.skip(/false\b/i) then false
          elsif scan.skip(/b'[01]*'/i) then bit(scan.matched)
          elsif scan.skip(/x'\h*'|0x\h+/i) then LEFT
          elsif (name = scan.scan(/[a-z_][\w.]*(?=\s*\()/i)) then called(name.downcase, scan, escapes)
          else passed(scan)
          end
        end

        def bit(text) = {"b'0'" => false, "b'1'" => true}.fetch(text.downcase, LEFT)

        def string(scan, escapes)
          found = scan.scan(escapes ? /'(?>(?:[^'\\]|\\.|'')*)'/m : /'(?>(?:[^']|'')*)'/)
          found ? text(found, escapes) : passed(scan)
        end

        # What programs write around texts with line breaks; anything else was left to be calculated.
        def called(name, scan, escapes)
          scan.skip(/\s*\(/)
          values = []
          until scan.skip(/\s*\)/) || scan.eos?
            values << value(scan, escapes)
            scan.skip(/\s*,/)
          end
          case name
          when "replace" then replaced(values)
          when "char", "chr" then values.all?(Number) ? values.map { |each| each.text.to_i }.pack("U*") : LEFT
          when "unistr" then values.first.is_a?(String) ? unescaped(values.first) : LEFT
          else LEFT
          end
        rescue RangeError
          LEFT
        end

        def replaced(values)
          (values.length == 3 && values.all?(String)) ? values[0].gsub(values[1]) { values[2] } : LEFT
        end

        # Up to the end of what is no value.
        def passed(scan)
          depth = 0
          until scan.eos?
            break if depth.zero? && scan.check(/[,)]/)

            scan.skip(/'(?:[^']|'')*'/) || scan.skip(/[^'(),]+/) || (sign = scan.getch)
            depth += {"(" => 1, ")" => -1}.fetch(sign, 0)
            sign = nil
          end
          LEFT
        end
      end
    end
  end
end
