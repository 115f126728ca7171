# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      module Functions
        # Functions of texts, named after OpenFormula (ISO/IEC 26300-2, 6.20).
        # Positions and lengths count what people see as single characters.
        module TextFunctions
          SIMPLE_NUMBER = /\A\s*[+-]?(\d+(\.\d*)?|\.\d+)\s*\z/

          module_function

          def all = changing + cutting + measuring

          def changing
            [
              make("upper", {text: :text}, :text, "The text in capitals.", 'upper("kd-017")', "KD-017") { |_, text| text.upcase },
              make("lower", {text: :text}, :text, "The text in small letters.", 'lower("KD")', "kd") { |_, text| text.downcase },
              make("trim", {text: :text}, :text, "The text without spaces at its ends, and with single ones inside.", 'trim("  thin   rim ")', "thin rim") do |_, text|
                text.gsub(/[[:space:]]+/, " ").strip
              end,
              make("substitute", {text: :text, "old part": :text, "new part": :text}, :text, "The text with one part replaced by another, wherever it stands.", 'substitute("KD 017", " ", "-")', "KD-017") do |_, text, old, new|
                Text.bounded(old.empty? ? text : text.gsub(old) { new })
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
              make("value", {text: :text}, :number, "The number that a text holds; blank if it holds none.", 'value("12.5") * 2', "25") do |evaluation, text|
                if text.length < 100 && text.match?(SIMPLE_NUMBER)
                  BigDecimal(text.strip)
                else
                  evaluation.note(:not_a_number, "the text holds no number")
                end
              end
            ]
          end

          def count(number, default) = number ? number.to_i.clamp(0, LONGEST_RESULT) : default

          def make(name, takes, returns, help, example, result, &work)
            Function.new(name, group: "Text", takes: takes, returns: returns, help: help, example: example, result: result, &work)
          end
        end
      end
    end
  end
end
