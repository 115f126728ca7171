# frozen_string_literal: true

module UpTack
  module Core
    module Tidying
      # Kinds of characters that a step removes or keeps.
      module CharacterKinds
        ALL = {
          "letters" => "\\p{L}\\p{M}",
          "digits" => "\\p{Nd}",
          "spaces" => "[:space:]",
          "punctuation" => "\\p{P}",
          "symbols" => "\\p{S}"
        }.freeze

        module_function

        # @param given [Hash] with "kinds" and "also", single characters besides
        # @return [String]
        def without(text, given) = text.gsub(/[#{set(given)}]/, "")

        # @return [String]
        def only(text, given) = text.gsub(/[^#{set(given)}]/, "")

        # @return [String]
        def words(given)
          named = given["kinds"].to_a.map { |kind| Wording[kind] }
          named += ["“#{given["also"]}”"] unless given["also"].to_s.empty?
          Masks::Phrases.to_sentence(named)
        end

        def set(given)
          kinds = given["kinds"].to_a.map { |kind| ALL.fetch(kind) }.join
          kinds + given["also"].to_s.chars.map { |character| format("\\u{%x}", character.ord) }.join
        end
      end
    end
  end
end
