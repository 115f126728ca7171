# frozen_string_literal: true

require "did_you_mean"

module UpTack
  module Core
    module Expression
      # Finds what a mistyped name may have meant.
      module Spelling
        module_function

        # @return [String, nil] the name that takes the fewest changes of letters,
        #   unless that is more than one in three
        def nearest(name, names)
          found, distance = names.map { |each| [each, DidYouMean::Levenshtein.distance(name, each)] }.min_by(&:last)
          found if found && distance <= (name.length / 3.0).ceil
        end
      end
    end
  end
end
