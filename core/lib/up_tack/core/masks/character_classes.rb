# frozen_string_literal: true

module UpTack
  module Core
    module Masks
      # The kinds of characters. A letter is a letter of any script.
      module CharacterClasses
        ALL = {
          "DIGIT" => /\A\d\z/, "ALPHA" => /\A\p{L}\p{M}*\z/, "UPPER" => /\A[\p{Lu}\p{Lt}]\p{M}*\z/,
          "LOWER" => /\A\p{Ll}\p{M}*\z/, "ALNUM" => /\A(\p{L}\p{M}*|\d)\z/, "ANY" => /\A\X\z/
        }.freeze

        # The same as regular expressions have them that know letters by their property (ECMA-262 with `u`).
        PLAIN = {
          "DIGIT" => "[0-9]", "ALPHA" => "\\p{L}\\p{M}*", "UPPER" => "[\\p{Lu}\\p{Lt}]\\p{M}*",
          "LOWER" => "\\p{Ll}\\p{M}*", "ALNUM" => "(?:\\p{L}\\p{M}*|[0-9])", "ANY" => "."
        }.freeze

        # One of them, and several, in words.
        WORDS = {
          "DIGIT" => %w[digit digits],
          "ALPHA" => %w[letter letters],
          "UPPER" => ["uppercase letter", "uppercase letters"],
          "LOWER" => ["lowercase letter", "lowercase letters"],
          "ALNUM" => ["letter or digit", "letters or digits"],
          "ANY" => %w[character characters]
        }.freeze

        ARTICLED = {
          "DIGIT" => "a digit",
          "ALPHA" => "a letter",
          "UPPER" => "an uppercase letter",
          "LOWER" => "a lowercase letter",
          "ALNUM" => "a letter or digit",
          "ANY" => "a character"
        }.freeze

        LETTERS = %w[ALPHA UPPER LOWER ALNUM ANY].freeze
        FIGURES = %w[DIGIT ALNUM ANY].freeze

        module_function

        # @return [Array(String, String)] one of them, and several, in words
        def words(name) = WORDS.fetch(name).map { |word| Wording[word] }

        # @return [Boolean] whether a character can be typed at places of both kinds
        def alike?(one, other)
          return true if [one, other].include?("ANY")

          [LETTERS, FIGURES].any? { |group| group.include?(one) && group.include?(other) }
        end

        # @return [String] the character in the case that the kind asks for; as it is where it is of
        #   the kind, such as a letter for titles, which is a capital
        def turned(name, character)
          return character if ALL.fetch(name).match?(character)

          turned = case name
          when "UPPER" then character.upcase
          when "LOWER" then character.downcase
          else character
          end
          (turned.length == character.length) ? turned : character
        end
      end
    end
  end
end
