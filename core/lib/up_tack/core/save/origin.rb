# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # Where a value came from.
      # source:: "typed", "rule", "stored" or "blank"
      # rule:: id of the rule; words:: in a few words
      # pending:: whether it is given only when the record is saved, and may be another then
      Origin = Struct.new(:source, :rule, :words, :pending, keyword_init: true) do
        def initialize(pending: false, **rest) = super
      end
    end
  end
end
