# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # A value that differs from the stored one, and the id of the rule that set it.
      # Made by position: every save makes many of them.
      Change = Struct.new(:field, :before, :after, :rule)
    end
  end
end
