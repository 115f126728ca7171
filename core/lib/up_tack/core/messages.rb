# frozen_string_literal: true

require "i18n"

module UpTack
  module Core
    # What Up Tack tells people, by key: the sentences stand in `messages/en` of each floor, so that they
    # are read side by side and none is written twice. One with a number has a form for one and for others.
    module Messages
      SCOPE = "up_tack"

      @texts = {}

      class << self
        # Adds the catalogue of a floor.
        #
        # @param folder [String] a folder with a file in YAML for each group of messages
        def add(folder)
          files = Dir[File.join(folder, "*", "*.yml")].sort
          I18n.load_path |= files
          @texts.clear
        end

        # @param key [String] group, place and message, such as `rules.required.already_must_be_filled`
        # @param values [Hash{Symbol=>Object}] what stands in its gaps; `count` chooses the form
        # @return [String]
        # @raise [I18n::ArgumentError] if there is no such message, or a value of it is missing
        def [](key, **values)
          text = (@texts[key] ||= I18n.t(key, scope: SCOPE, raise: true).freeze)
          return I18n.t(key, scope: SCOPE, raise: true, **values) if text.is_a?(Hash)

          (values.empty? && !text.include?("%{")) ? text : I18n.interpolate(text, values)
        end
      end
    end
  end
end
