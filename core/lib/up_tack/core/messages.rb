# frozen_string_literal: true

require "i18n"
require "yaml"

module UpTack
  module Core
    # What Up Tack tells people, by key: the sentences stand in `messages/en` of each floor, so that they
    # are read side by side and none is written twice. One with a number has a form for one and for others.
    module Messages
      SCOPE = "up_tack"

      # Forms of a message with a number.
      FORMS = %w[zero one other].freeze

      @texts = {}
      @language = "en"

      class << self
        # @return [String] the tag of the language that messages are given in
        attr_reader :language

        # @param tag [String] "en", or that of the made-up language
        def language=(tag)
          unless tag == "en"
            I18n.available_locales |= [:en, tag.to_sym]
            I18n.backend.store_translations(tag, {SCOPE => made_up(catalogue)})
          end
          @language = tag
          @texts.clear
        end

        # Adds the catalogue of a floor.
        #
        # @param folder [String] a folder with a file in YAML for each group of messages
        def add(folder)
          files = Dir[File.join(folder, "*", "*.yml")].sort
          I18n.load_path |= files
          @texts.clear
        end

        # @param files [Array<String>] of a catalogue in YAML
        # @param root [String] under which its messages stand
        # @return [Hash{String=>String, Hash}] texts by their full keys; a Hash has the forms of a number
        # @raise [ArgumentError] if a key stands twice
        def flattened(files, root = SCOPE)
          files.each_with_object({}) { |file, found| flatten(YAML.load_file(file).dig("en", root), nil, found) }
        end

        # @param key [String] group, place and message, such as `rules.required.already_must_be_filled`
        # @param values [Hash{Symbol=>Object}] what stands in its gaps; `count` chooses the form
        # @return [String]
        # @raise [I18n::ArgumentError] if there is no such message, or a value of it is missing
        def [](key, **values)
          text = (@texts[key] ||= I18n.t(key, scope: SCOPE, locale: language, raise: true).freeze)
          return I18n.t(key, scope: SCOPE, locale: language, raise: true, **values) if text.is_a?(Hash)

          (values.empty? && !text.include?("%{")) ? text : I18n.interpolate(text, values)
        end

        private

        def catalogue = I18n.t(SCOPE, locale: :en)

        def made_up(part)
          part.is_a?(Hash) ? part.transform_values { |each| made_up(each) } : MadeUpLanguage.text(part)
        end

        def flatten(tree, path, found)
          tree.each do |key, value|
            place = [path, key].compact.join(".")
            if value.is_a?(Hash) && (value.keys - FORMS).any?
              flatten(value, place, found)
            else
              raise ArgumentError, "#{place} stands twice" if found.key?(place)

              found[place] = value
            end
          end
        end
      end
    end
  end
end
