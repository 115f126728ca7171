# frozen_string_literal: true

module UpTack
  module Core
    module Masks
      # The kinds of characters. A letter is a letter of any script.
      module Classes
        ALL = {
          "DIGIT" => /\A\d\z/, "ALPHA" => /\A\p{L}\p{M}*\z/, "UPPER" => /\A[\p{Lu}\p{Lt}]\p{M}*\z/,
          "LOWER" => /\A\p{Ll}\p{M}*\z/, "ALNUM" => /\A(\p{L}\p{M}*|\d)\z/, "ANY" => /\A\X\z/
        }.freeze
      end
    end
  end
end
