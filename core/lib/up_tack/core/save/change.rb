# frozen_string_literal: true

module UpTack
  module Core
    module Save
      # A value that differs from the stored one, and the rule that set it.
      Change = Struct.new(:field, :before, :after, :rule, keyword_init: true)
    end
  end
end
