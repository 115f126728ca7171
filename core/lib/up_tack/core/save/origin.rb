# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # Where a value came from.
      # source:: "typed", "rule", "stored" or "blank"
      # rule:: id of the rule; words:: in a few words
      Origin = Struct.new(:source, :rule, :words, keyword_init: true)
    end
  end
end
