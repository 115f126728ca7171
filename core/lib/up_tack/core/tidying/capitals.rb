# frozen_string_literal: true

module UpTack
  module Core
    module Tidying
      # A capital for each word, but for words that the builder wants written just
      # so ("van", "McKay", "UK"), and after prefixes such as "O'" a second one.
      module Capitals
        WORD = /[\p{L}\p{M}\p{N}]+(?:['’][\p{L}\p{M}\p{N}]+)*/

        module_function

        # @param text [String]
        # @param just_so [Array<String>] words, or several in a row, in their spelling
        # @param prefixes [Array<String>] after which a capital follows, such as "O'" or "Mc"
        # @return [String]
        def apply(text, just_so: [], prefixes: [])
          capital = text.gsub(WORD) { |word| prefixed(word.downcase, prefixes) || word.capitalize }
          just_so.reject { |word| word.strip.empty? }.sort_by { |word| -word.length }.reduce(capital) do |so_far, word|
            so_far.gsub(/(?<![\p{L}\p{M}\p{N}])#{Regexp.escape(word)}(?![\p{L}\p{M}\p{N}])/i) { word }
          end
        end

        def prefixed(word, prefixes)
          prefix =
            prefixes.find { |each| !each.empty? && word.start_with?(each.downcase) && word.length > each.length } or
            return

          prefix + word[prefix.length..].sub(/\p{L}/) { |letter| letter.upcase }
        end
      end
    end
  end
end
