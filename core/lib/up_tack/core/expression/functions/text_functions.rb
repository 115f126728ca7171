# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Functions
        # Functions of texts, named after OpenFormula (ISO/IEC 26300-2, 6.20).
        # Positions and lengths count what people see as single characters.
        module TextFunctions
          SIMPLE_NUMBER = /\A\s*[+-]?(\d+(\.\d*)?|\.\d+)\s*\z/

          # @return [String, nil] what is wrong with a fixed pattern
          PATTERN = lambda do |arguments|
            pattern = arguments[1]
            next unless pattern.is_a?(Nodes::Literal) && pattern.value.is_a?(String)

            Patterns.check(pattern.value)
          rescue Patterns::Invalid => e
            e.message
          end

          module_function

          def all = changing + joining + cutting + measuring + writing

          def changing
            [
              make("upper", {text: :text}, :text, "The text in capitals.", 'upper("kd-017")', "KD-017") { |_, text| text.upcase },
              make("lower", {text: :text}, :text, "The text in small letters.", 'lower("KD")', "kd") { |_, text| text.downcase },
              make("proper", {text: :text}, :text, "Each word with a capital and small letters after it.", 'proper("ANSA velt")', "Ansa Velt") do |_, text|
                text.gsub(/[\p{L}\p{M}’']+/) { |word| capitalised(word) }
              end,
              make("trim", {text: :text}, :text, "The text without spaces at its ends, and with single ones inside.", 'trim("  thin   rim ")', "thin rim") do |_, text|
                text.gsub(/[[:space:]]+/, " ").strip
              end,
              make("substitute", {text: :text, "old part": :text, "new part": :text}, :text, "The text with one part replaced by another, wherever it stands.", 'substitute("KD 017", " ", "-")', "KD-017") do |_, text, old, new|
                Text.bounded(old.empty? ? text : text.gsub(old) { new })
              end
            ]
          end

          def joining
            [
              make("rept", {text: :text, times: :number}, :text, "The text so many times over.", 'rept("=", 5)', "=====") do |_, text, times|
                count = count(times, 0)
                raise Text::TooLong if text.length * count > LONGEST_RESULT

                text * count
              end
            ]
          end

          def cutting
            [
              make("left", {text: :text, length?: :number}, :text, "The first characters of a text; one if no number is given.", 'left("Kiln", 2)', "Ki") do |_, text, length|
                Text.graphemes(text).first(count(length, 1)).join
              end,
              make("right", {text: :text, length?: :number}, :text, "The last characters of a text; one if no number is given.", 'right("Kiln", 2)', "ln") do |_, text, length|
                Text.graphemes(text).last(count(length, 1)).join
              end,
              make("mid", {text: :text, start: :number, length: :number}, :text, "So many characters from a place on; the first is 1.", 'mid("KD-017", 4, 3)', "017") do |_, text, start, length|
                (start < 1) ? nil : Text.graphemes(text)[count(start, 1) - 1, count(length, 0)].to_a.join
              end
            ]
          end

          def measuring
            [
              make("len", {text: :text}, :number, "How many characters a text has.", 'len("Kiln")', "4") { |_, text| BigDecimal(Text.graphemes(text).length) },
              make("find", {part: :text, text: :text, start?: :number}, :number, "Where a part first stands in a text, from a place on; blank if it does not. Capitals count.", 'find("n", "Kiln")', "4") do |_, part, text, start|
                found(part, text, start ? start.to_i : 1)
              end,
              make("exact", {text: :text, other: :text}, :yes_no, "Whether two texts are the same, capitals and all.", 'exact("kd", "KD")', "no") { |_, text, other| text == other },
              make("value", {text: :text}, :number, "The number that a text holds; blank if it holds none.", 'value("12.5") * 2', "25") do |evaluation, text|
                if text.length < 100 && text.match?(SIMPLE_NUMBER)
                  BigDecimal(text.strip)
                else
                  evaluation.note(:not_a_number, "the text holds no number")
                end
              end
            ]
          end

          def writing
            [
              make("text", {value: %i[number date time moment], pattern: :text}, :text, "A number, day or hour written by a pattern.", 'text(date("2026-11-23"), "EEE d MMM yyyy")', "Mon 23 Nov 2026", literal: PATTERN) do |evaluation, value, pattern|
                value = evaluation.context.clock.local(value) if value.is_a?(::Time)
                Text.bounded(Patterns.write(value, pattern))
              rescue Patterns::Invalid => e
                evaluation.note(:bad_pattern, e.message)
              end
            ]
          end

          def capitalised(word)
            first, *rest = Text.graphemes(word)
            first.upcase + rest.join.downcase
          end

          # @return [BigDecimal, nil]
          def found(part, text, start)
            return if start < 1

            whole = Text.graphemes(text)
            wanted = Text.graphemes(part)
            place = ((start - 1)..(whole.length - wanted.length)).find { |at| whole[at, wanted.length] == wanted }
            place && BigDecimal(place + 1)
          end

          def count(number, default) = number ? number.to_i.clamp(0, LONGEST_RESULT) : default

          def make(name, takes, returns, help, example, result, literal: nil, &work)
            Function.new(name, group: "Text", takes: takes, returns: returns, help: help, example: example, result: result, literal: literal, &work)
          end
        end
      end
    end
  end
end
