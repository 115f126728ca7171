# frozen_string_literal: true

module UpTack
  module Core
    # Words of which rules, formulas and masks build their sentences, and what kinds and types say of themselves:
    # they stand where the grammar is that joins them, and are looked up by their own text. What is whole by
    # itself has a key in Messages.
    module Wording
      @blank = Hash.new { |languages, language| languages[language] = {} }

      module_function

      # @param text [String] in English, with gaps such as %{field}; it stands whole in the code
      # @param gaps [Hash{Symbol=>Object}, nil] what stands in its gaps; no keywords, which cost a hash where there are
      #   none, and rules say why they did nothing for each record
      # @return [String] in the language of the messages
      # @raise [KeyError] if a gap is missing
      def [](text, gaps = nil)
        said = (Messages.language == "en") ? text : MadeUpLanguage.text(text)
        return said unless gaps

        said.gsub(/%\{(\w+)\}/) { gaps.fetch(Regexp.last_match(1).to_sym).to_s }
      end

      # Why most rules that did nothing did nothing: said for each record of an import, so it is remembered.
      # @param field [Design::Field]
      # @return [String]
      def blank(field)
        @blank[Messages.language][field.label] ||= self["%{field} is blank", field: field.label].freeze
      end

      # @param field [Design::Field] whose value was not understood
      # @return [String]
      def unread(field) = self["%{field} can't be read yet", field: field.label]
    end
  end
end
