# frozen_string_literal: true

require "did_you_mean"

module UpTack
  module Core
    module Expression
      # Finds what a mistyped name may have meant.
      module Spelling
        module_function

        # @return [String, nil]
        def nearest(name, names)
          DidYouMean::SpellChecker.new(dictionary: names).correct(name).first
        end
      end
    end
  end
end
