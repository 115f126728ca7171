# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # A word of a formula and its place.
      # kind:: :number, :text, :word, :symbol or :end
      # value:: what it means: a BigDecimal, the text without quotes, the word
      #   in lower case, the symbol
      Token = Struct.new(:kind, :value, :from, :to, keyword_init: true) do
        def word?(*words) = kind == :word && words.include?(value)
        def symbol?(*symbols) = kind == :symbol && symbols.include?(value)
        def end? = kind == :end
      end
    end
  end
end
