# frozen_string_literal: true

module UpTack
  module Core
    # A language that is made up: every letter is another one and every vowel stands twice, so that a developer
    # sees what is not in the catalogue, and what does not fit. The interface has the same (`madeUp.ts`).
    module MadeUpLanguage
      # Its tag, after BCP 47.
      TAG = "en-XA"

      PLAIN = [*"a".."z", *"A".."Z"].join.freeze
      ODD = "áƀçďéƒğĥíĵķłɱñóþɋřšťúṽŵẋýžÁƁÇĎÉƑĞĤÍĴĶŁṀÑÓÞɊŘŠŤÚṼŴẊÝŽ"

      module_function

      # @param text [String] with gaps such as %{name}, and keys in backticks, which stay
      # @return [String]
      def text(text)
        text.gsub(/%\{[^}]*\}|`[^`]*`|[a-z]+/i) do |part|
          part.start_with?("%{", "`") ? part : part.gsub(/[aeiou]/) { |vowel| vowel * 2 }.tr(PLAIN, ODD)
        end
      end
    end
  end
end
