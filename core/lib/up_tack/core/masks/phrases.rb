# frozen_string_literal: true

module UpTack
  module Core
    module Masks
      # Says masks in words: "two uppercase letters, “-”, three digits".
      module Phrases
        NUMBERS = %w[no one two three four five six seven eight nine ten eleven twelve].freeze

        module_function

        # @param parts [Array] as Reader gives them
        # @return [String]
        def describe(parts) = parts.map { |part| part(part) }.join(", ")

        def part(part)
          case part
          when Reader::Literal then "“#{part.characters.join}”"
          when Reader::Optional then Wording["perhaps %{describe}", describe: describe(part.parts)]
          else repeated(part)
          end
        end

        def repeated(part)
          one, several = CharacterClasses.words(part.name)
          return count(part.least, part.name) if part.least == part.most
          return Wording["any number of %{kind}", kind: several] if part.least.zero? && part.most == MOST
          return Wording["%{least} or more %{kind}", least: number(part.least), kind: several] if part.most == MOST

          if part.least.zero?
            return Wording["up to %{most} %{kind}", most: number(part.most), kind: (part.most == 1) ? one : several]
          end
          between(number(part.least), number(part.most), several, part.most - part.least == 1)
        end

        def between(least, most, kind, neighbours)
          return Wording["%{least} or %{most} %{kind}", least: least, most: most, kind: kind] if neighbours

          Wording["%{least} to %{most} %{kind}", least: least, most: most, kind: kind]
        end

        # @param name [String] of a kind of character
        def count(count, name) = Wording["%{count} %{kind}", count: number(count), kind: kind(count, name)]

        # @return [String] "two more digits"
        def more(count, name) = Wording["%{count} more %{kind}", count: number(count), kind: kind(count, name)]

        def kind(count, name) = CharacterClasses.words(name)[(count == 1) ? 0 : 1]

        def number(number) = NUMBERS[number] ? Wording[NUMBERS[number]] : number.to_s

        # @return [String] "a, b and c"
        def to_sentence(phrases, word = "and") =
          (phrases.length > 1) ? "#{phrases[0...-1].join(", ")} #{Wording[word]} #{phrases.last}" : phrases.join
      end
    end
  end
end
