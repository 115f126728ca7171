# frozen_string_literal: true

module UpTack
  module Core
    # Text as people count and compare it: by grapheme (Unicode UAX #29), and
    # without regard to case.
    module Unicode
      # Raised inside a formula when a text result leaves its bound.
      class TooLong < StandardError; end

      # How many characters the text that a formula comes to may have.
      LONGEST = 100_000

      module_function

      # @return [Array<String>] what a person sees as single characters
      def graphemes(text) = text.grapheme_clusters

      # @return [String] the form in which texts are compared
      def folded(text) =
        text.ascii_only? ? text.downcase : text.unicode_normalize(:nfc).downcase(:fold).unicode_normalize(:nfc)

      # @return [Boolean] whether all the words of one text stand somewhere in another, capitals aside
      def words_in?(words, text)
        whole = folded(text.to_s)
        folded(words).split.all? { |word| whole.include?(word) }
      end

      # A text of nothing but spaces is blank wherever it is kept, so it is blank in a formula too.
      # @return [Boolean] whether a value counts as none
      def blank?(value) = value.nil? || (value.is_a?(String) && value.match?(/\A\s*\z/))

      # @return [String, nil] the text, nil for an empty one
      def filled(text) = text.empty? ? nil : text

      # @raise [TooLong]
      def bounded(text)
        raise TooLong if text.length > LONGEST

        text
      end
    end
  end
end
