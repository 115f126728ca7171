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
          when Reader::Optional then "perhaps #{describe(part.parts)}"
          else repeated(part)
          end
        end

        def repeated(part)
          words = CharacterClasses::WORDS.fetch(part.name)
          return count(part.least, words) if part.least == part.most
          return "any number of #{words.last}" if part.least.zero? && part.most == MOST
          return "#{number(part.least)} or more #{words.last}" if part.most == MOST
          return "up to #{number(part.most)} #{words[(part.most == 1) ? 0 : 1]}" if part.least.zero?

          "#{number(part.least)} #{(part.most - part.least == 1) ? "or" : "to"} #{number(part.most)} #{words.last}"
        end

        def count(count, words) = "#{number(count)} #{(count == 1) ? words.first : words.last}"

        def number(number) = NUMBERS[number] || number.to_s

        # @return [String] "a digit", "a capital"
        def article(word) = "#{word.match?(/\A[aeiou]/) ? "an" : "a"} #{word}"

        # @return [String] "a, b and c"
        def to_sentence(phrases, word = "and") =
          (phrases.length > 1) ? "#{phrases[0...-1].join(", ")} #{word} #{phrases.last}" : phrases.join
      end
    end
  end
end
