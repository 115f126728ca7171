# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Functions
        # Functions of texts, named after OpenFormula (ISO/IEC 26300-2, 6.20).
        # Positions and lengths count what people see as single characters.
        module TextFunctions
          # Characters of a text that may hold a number.
          LONGEST_NUMBER = 100
          # Where the signs begin that stand for characters of several code points.
          FIRST_SIGN = 0x10000

          # @return [Problem, nil] what is wrong with a fixed pattern
          PATTERN =
            lambda do |arguments, types|
              pattern = arguments[1]
              next unless pattern.is_a?(Nodes::Literal) && pattern.value.is_a?(String)

              Values::Patterns.check(pattern.value, types.first)
              nil
            rescue Values::Patterns::Invalid => e
              TextFunctions.in_pattern(pattern, e)
            end

          # @return [Problem, nil] what a fixed pattern would write, though it is surely not meant
          PATTERN_ADVICE =
            lambda do |arguments, types|
              pattern = arguments[1]
              next unless pattern.is_a?(Nodes::Literal) && pattern.value.is_a?(String)

              Values::Patterns.advice(pattern.value, types.first)&.then { |advice|
                TextFunctions.in_pattern(pattern, advice)
              }
            end

          module_function

          def all = changing + joining + cutting + measuring + writing + [address]

          # After RFC 3986: whatever is not unreserved, in UTF-8.
          def address
            make(
              "url_encode",
              {text: :text},
              :text,
              "Encodes a text for use in a web address.",
              'url_encode("oak & ash")',
              "oak%20%26%20ash"
            ) do |_, text|
              Unicode.bounded(
                text.gsub(/[^A-Za-z0-9\-._~]/) { |sign| sign.bytes.map { |byte| format("%%%02X", byte) }.join }
              )
            end
          end

          def changing
            [
              make("upper", {text: :text}, :text, "The text in uppercase.", 'upper("kd-017")', "KD-017") do |_, text|
                text.upcase
              end,
              make("lower", {text: :text}, :text, "The text in lowercase.", 'lower("KD")', "kd") do |_, text|
                text.downcase
              end,
              make(
                "proper",
                {text: :text},
                :text,
                "Each word with a capital and small letters after it.",
                'proper("ANSA velt")',
                "Ansa Velt"
              ) { |_, text| text.gsub(/[\p{L}\p{M}’']+/) { |word| capitalised(word) } },
              make(
                "trim",
                {text: :text},
                :text,
                "The text without spaces at its ends, and with single ones inside.",
                'trim("  thin   rim ")',
                "thin rim"
              ) { |_, text| text.gsub(/[[:space:]]+/, " ").strip },
              make(
                "substitute",
                {text: :text, "old part": :text, "new part": :text},
                :text,
                "Replaces every occurrence of a part; use \"\" to remove it.",
                'substitute("KD 017", " ", "-")',
                "KD-017",
                blanks: true
              ) do |_, text, old, new|
                next text if text.nil? || old.nil?

                Unicode.bounded(text.gsub(old) { new.to_s })
              end
            ]
          end

          def joining
            [
              make(
                "rept",
                {text: :text, times: :number},
                :text,
                "Repeats a text a number of times.",
                'rept("=", 5)',
                "====="
              ) do |_, text, times|
                count = count(times, 0)
                raise Unicode::TooLong if text.length * count > Unicode::LONGEST

                text * count
              end
            ]
          end

          def cutting
            [
              make(
                "left",
                {text: :text, length?: :number},
                :text,
                "The first characters of a text; one if no number is given.",
                'left("Kiln", 2)',
                "Ki"
              ) { |_, text, length| Unicode.graphemes(text).first(count(length, 1)).join },
              make(
                "right",
                {text: :text, length?: :number},
                :text,
                "The last characters of a text; one if no number is given.",
                'right("Kiln", 2)',
                "ln"
              ) { |_, text, length| Unicode.graphemes(text).last(count(length, 1)).join },
              make(
                "mid",
                {text: :text, start: :number, length: :number},
                :text,
                "A number of characters from a position on; the first is 1.",
                'mid("KD-017", 4, 3)',
                "017"
              ) do |_, text, start, length|
                (start < 1) ? nil : Unicode.graphemes(text)[count(start, 1) - 1, count(length, 0)].to_a.join
              end
            ]
          end

          def measuring
            [
              make(
                "len",
                {text: :text},
                :number,
                "How many characters a text has.",
                'len("Kiln")',
                "4"
              ) { |_, text| BigDecimal(Unicode.graphemes(text).length) },
              make(
                "find",
                {part: :text, text: :text, start?: :number},
                :number,
                "The first position of a part, from a position on; blank if there is none. Case-sensitive.",
                'find("n", "Kiln")',
                "4"
              ) { |_, part, text, start| found(part, text, start ? start.to_i : 1) },
              make(
                "exact",
                {text: :text, other: :text},
                :yes_no,
                "Whether two texts are the same, capitals and all.",
                'exact("kd", "KD")',
                "no"
              ) { |_, text, other| text == other },
              make(
                "value",
                {text: :text},
                :number,
                "Converts a text to a number, in the format of the firm; blank if it is not one.",
                'value("12.5") * 2',
                "25",
                by_conventions: true
              ) do |evaluation, text, conventions:|
                number(text, conventions) || evaluation.note(:not_a_number, "the text contains no number")
              end
            ]
          end

          def writing
            [
              make(
                "text",
                {value: %i[number date time moment], pattern: :text},
                :text,
                "Formats a number, date or time with a pattern.",
                'text(date("2026-11-23"), "EEE d MMM yyyy")',
                "Mon 23 Nov 2026",
                objection: PATTERN,
                advice: PATTERN_ADVICE,
                by_conventions: true
              ) do |evaluation, value, pattern, conventions:|
                value = evaluation.context.clock.local(value) if value.is_a?(::Time)
                Unicode.bounded(Values::Patterns.write(value, pattern, conventions))
              rescue Values::Patterns::Invalid => e
                evaluation.note(:bad_pattern, e.message)
              end
            ]
          end

          # @return [BigDecimal, nil]
          def number(text, conventions)
            return if text.length > LONGEST_NUMBER

            found = Values::NumberText.read(text, conventions, nil)
            found if found.is_a?(BigDecimal)
          end

          # @param node [Nodes::Literal] a fixed pattern
          # @param mistake [Values::Patterns::Invalid, Values::Patterns::Advice] with offsets in the pattern
          # @return [Problem] at its place in the formula, where quotes inside a text are doubled
          def in_pattern(node, mistake)
            starts = [mistake.from, mistake.to].map { |at| node.from + 1 + at + node.value[0...at].count("\"") }
            Problem.new(message: mistake.message, from: starts.first, to: starts.last)
          end

          def capitalised(word)
            first, *rest = Unicode.graphemes(word)
            first.upcase + rest.join.downcase
          end

          # Each character that people see stands as one sign, so that a text is looked through once, however
          # often the part nearly stands in it.
          # @return [BigDecimal, nil]
          def found(part, text, start)
            return if start < 1

            signs = Hash.new { |known, cluster| known[cluster] = FIRST_SIGN + known.length }
            whole, wanted =
              [text, part].map { |each| Unicode.graphemes(each).map { |cluster| signs[cluster] }.pack("U*") }
            place = whole.index(wanted, start - 1)
            place && BigDecimal(place + 1)
          end

          def count(number, default) = number ? number.to_i.clamp(0, Unicode::LONGEST) : default

          def make(name, takes, returns, help, example, result, **settings, &work)
            Function.new(
              name,
              group: "Text",
              takes: takes,
              returns: returns,
              help: help,
              example: example,
              result: result,
              **settings,
              &work
            )
          end
        end
      end
    end
  end
end
