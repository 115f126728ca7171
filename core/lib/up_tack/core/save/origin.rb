# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # Where a value came from. Made by position: every save makes many of them.
      # source:: "typed", "rule", "stored" or "blank"
      # rule:: id of the rule; words:: in a few words
      # pending:: true where it is given only when the record is saved, and may be another then
      Origin = Struct.new(:source, :rule, :words, :pending)
    end
  end
end
